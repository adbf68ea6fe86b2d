import { open, type PlayedFace } from 'page-face';
import type { Dial, Frame, PoseBody } from '../api/client';
import { Painter } from '../stage/painter';
import { pictures } from '../stage/elements';
import { dialOf, over, posed, valueOf } from './asked';
import { type FaceFile, type FaceLine, readFace } from './faceFile';
import { STYLE, WAITS } from './faceStyle';

const SVG = 'http://www.w3.org/2000/svg';

/** What is going on over time: a line that is said, or a cue. */
interface Going {
  end: (whole: boolean) => void;
}

/**
 * A rigged character in any web page, alive: `<leeward-face src="maren.face" turn="20" mood="happy">`. Its dials are attributes; it
 * says its lines with its own sound. Events: `ready`, `problem`, `saystart`, `sayend`, `cueend`, `frame`.
 */
export class LeewardFace extends HTMLElement {
  private file: FaceFile | null = null;
  private core: PlayedFace | null = null;
  private painter: Painter | null = null;
  /** What was asked of it by methods, over its attributes. */
  private live: PoseBody = {};
  private going: Going | null = null;
  private fetched = '';
  private told = new Set<string>();
  private readonly svg = document.createElementNS(SVG, 'svg');
  private readonly said = document.createElement('p');
  private readonly watch = new MutationObserver((all) => this.changed(all.map((m) => m.attributeName ?? '')));

  constructor() {
    super();
    const root = this.attachShadow({ mode: 'open' });
    const sheet = new CSSStyleSheet();
    sheet.replaceSync(STYLE);
    root.adoptedStyleSheets = [sheet];
    this.svg.setAttribute('role', 'img');
    this.said.className = 'said';
    this.said.setAttribute('aria-live', 'polite');
    root.append(this.svg, this.said);
  }

  connectedCallback(): void {
    this.watch.observe(this, { attributes: true });
    void this.load();
  }

  disconnectedCallback(): void {
    this.watch.disconnect();
    this.stop();
  }

  private changed(names: string[]): void {
    if (names.includes('src')) void this.load();
    if (!this.file) return;
    if (names.includes('label') || names.includes('fit')) this.framed();
    if (names.includes('say')) this.sayAsAsked();
    this.refresh();
  }

  private async load(): Promise<void> {
    const src = this.getAttribute('src') ?? '';
    if (src === this.fetched || src === '') return;
    this.fetched = src;
    this.stop();
    try {
      const answer = await fetch(new URL(src, document.baseURI));
      if (!answer.ok) throw new Error(`${src} could not be fetched: ${answer.status}.`);
      const file = readFace(await answer.text(), src);
      if (this.fetched !== src) return;
      for (const [hash, address] of Object.entries(file.images)) pictures.set(hash, address);
      this.core = open(file.character, file.artwork);
      this.file = file;
      const group = document.createElementNS(SVG, 'g');
      this.svg.replaceChildren(group);
      this.painter = new Painter(group, file.character, file.artwork);
      this.told.clear();
      this.framed();
      this.refresh();
      this.tell('ready', {});
      this.sayAsAsked();
    } catch (e) {
      this.fetched = '';
      this.problem(e instanceof Error ? e.message : String(e), true);
    }
  }

  private tell(name: string, detail: object): void {
    this.dispatchEvent(new CustomEvent(name, { detail, bubbles: true, composed: true }));
  }

  /** @param shown whether there is nothing else to be seen */
  private problem(message: string, shown = false): void {
    if (this.told.has(message)) return;
    this.told.add(message);
    console.warn(`leeward-face: ${message}`);
    if (shown) {
      this.svg.replaceChildren();
      this.said.className = '';
      this.said.textContent = message;
    }
    this.tell('problem', { message });
  }

  private framed(): void {
    const { views, name } = this.file!;
    const box = this.getAttribute('fit') === 'whole' ? views.whole : views.head;
    this.svg.setAttribute('viewBox', box.join(' '));
    this.svg.setAttribute('aria-label', this.getAttribute('label') ?? name);
    this.said.className = 'said';
  }

  /** The pose its attributes and methods ask for. */
  private asked(): PoseBody {
    const { pose, wrong } = posed(
      [...this.attributes].map((a) => [a.name, a.value]),
      this.file!.character,
    );
    for (const w of wrong) this.problem(w);
    return over(pose, this.live);
  }

  private show(frame: Frame): void {
    this.painter!.show(frame);
    this.tell('frame', {});
  }

  private refresh(): void {
    if (this.core && !this.going) this.show(this.core.frame(this.asked()) as Frame);
  }

  private need(): { file: FaceFile; core: PlayedFace } {
    if (!this.file || !this.core) throw new Error('The face is not there yet; wait for “ready”.');
    return { file: this.file, core: this.core };
  }

  /** Whether it can be posed and spoken with. */
  get ready(): boolean {
    return this.core !== null;
  }

  /** Its dials by id: name, range, rest and unit. */
  get dials(): Record<string, Pick<Dial, 'name' | 'from' | 'to' | 'rest' | 'unit'>> {
    return Object.fromEntries(
      this.need().file.character.controls.dials.map(({ id, name, from, to, rest, unit }) => [
        id,
        { name, from, to, rest, unit },
      ]),
    );
  }

  /** Names of the looks it knows. */
  get looks(): string[] {
    return this.need().file.character.library.looks.map((l) => l.name);
  }

  /** Names of the cues it knows. */
  get cues(): string[] {
    return this.need().file.character.library.cues.map((c) => c.name);
  }

  /** Names of the kits it knows. */
  get kits(): string[] {
    return this.need().file.character.library.kits.map((k) => k.name);
  }

  /** What it can say, by the name it is asked for by. */
  get lines(): Record<string, { title: string; words: string }> {
    return Object.fromEntries(
      Object.entries(this.need().file.lines).map(([id, { title, words }]) => [id, { title, words }]),
    );
  }

  /**
   * The performer's door: dials turned at once, as often as one likes, over what the attributes say. By id, or by `turn`, `nod`,
   * `blink`, `gaze-x`, `gaze-y`. Null lets go of a dial.
   */
  perform(values: Record<string, number | null | undefined>): void {
    const { dials } = this.need().file.character.controls;
    const now: Record<string, number> = { ...this.live.dials };
    for (const [name, value] of Object.entries(values)) {
      const dial = dialOf(name, dials);
      if (!dial) this.problem(`There is no dial “${name}”; there are: ${dials.map((d) => d.id).join(', ')}.`);
      else if (value === null || value === undefined) delete now[dial.id];
      else if (Number.isFinite(value)) now[dial.id] = valueOf(name, dial, value);
    }
    this.live = { ...this.live, dials: now };
    this.refresh();
  }

  /** Shows a drawing of a part, both by name or id; null lets go of it. */
  pick(part: string, drawing: string | null): void {
    const { parts } = this.need().file.character.rig;
    const same = (x: { id: string; name: string }, name: string) => x.id === name || x.name === name;
    const of = parts.find((p) => same(p, part));
    const one = drawing === null ? null : of?.drawings.find((d) => same(d, drawing));
    if (!of) return this.problem(`There is no part “${part}”.`);
    if (one === undefined) return this.problem(`${of.name} has no drawing “${drawing}”.`);
    const picks: Record<string, string> = { ...this.live.picks };
    if (one) picks[of.id] = one.id;
    else delete picks[of.id];
    this.live = { ...this.live, picks };
    this.refresh();
  }

  /** Ends what is said or played. */
  stop(): void {
    this.going?.end(false);
  }

  /**
   * Says a line with its own sound, acted as it was; whoever asks for little motion sees the mouth alone move.
   *
   * @return true when it was said to its end
   */
  async say(name: string): Promise<boolean> {
    const { file, core } = this.need();
    const line = file.lines[name];
    if (!line) {
      this.problem(`There is no line “${name}”; there are: ${Object.keys(file.lines).join(', ') || 'none'}.`);
      return false;
    }
    this.stop();
    const spoken = core.line(line.shot, !matchMedia('(prefers-reduced-motion: reduce)').matches);
    const audio = await this.sound(line);
    if (audio === null) return false;
    const began = performance.now();
    const rate = line.shot.rules.frameRate;
    this.said.textContent = line.words;
    this.tell('saystart', { line: name, words: line.words });
    const whole = await this.goes(
      () => (audio ? audio.currentTime : (performance.now() - began) / 1000) * rate,
      line.shot.frames,
      (at) => spoken.frame(at, this.asked()),
      () => audio?.ended ?? false,
    );
    audio?.pause();
    this.said.textContent = '';
    this.tell('sayend', { line: name, whole });
    this.refresh();
    return whole;
  }

  /** What is heard of a line, begun; undefined for one without sound, null where the page may not make a sound yet. */
  private async sound(line: FaceLine): Promise<HTMLAudioElement | undefined | null> {
    if (!line.sound) return undefined;
    const audio = new Audio(new URL(line.sound, new URL(this.fetched, document.baseURI)).href);
    try {
      await audio.play();
      return audio;
    } catch (e) {
      const held = e instanceof DOMException && e.name === 'NotAllowedError';
      this.told.delete(WAITS);
      this.problem(held ? WAITS : `${line.sound} cannot be played.`);
      return null;
    }
  }

  /** Plays a cue over the pose, by name or id; true when it was played to its end. */
  async play(cue: string): Promise<boolean> {
    const { file, core } = this.need();
    const { cues } = file.character.library;
    const one =
      cues.find((c) => c.id === cue) ?? cues.find((c) => c.name.toLowerCase() === cue.toLowerCase());
    if (!one) {
      this.problem(`There is no cue “${cue}”; there are: ${cues.map((c) => c.name).join(', ') || 'none'}.`);
      return false;
    }
    this.stop();
    const frames = core.cue(one.id, this.asked());
    const began = performance.now();
    const rate = file.character.sheet.frameRate;
    const whole = await this.goes(
      () => ((performance.now() - began) / 1000) * rate,
      frames.length,
      (at) => frames[at]!,
      () => false,
    );
    this.tell('cueend', { cue: one.name, whole });
    this.refresh();
    return whole;
  }

  /** Shows frame after frame by a clock, each once, until the last one or until something else begins. */
  private goes(
    clock: () => number,
    frames: number,
    frame: (at: number) => Frame,
    over: () => boolean,
  ): Promise<boolean> {
    return new Promise((resolve) => {
      let next = 0;
      let shown = -1;
      const going: Going = {
        end: (whole) => {
          cancelAnimationFrame(next);
          if (this.going === going) this.going = null;
          resolve(whole);
        },
      };
      this.going = going;
      const step = () => {
        const at = Math.floor(clock() + 1e-6);
        if (at >= frames || over()) return going.end(true);
        if (at !== shown) {
          shown = at;
          this.show(frame(at));
        }
        next = requestAnimationFrame(step);
      };
      step();
    });
  }

  private sayAsAsked(): void {
    const asked = this.getAttribute('say');
    if (asked) void this.say(asked);
    else this.stop();
  }
}
