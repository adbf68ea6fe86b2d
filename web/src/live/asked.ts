import type { Character, Dial, PoseBody } from '../api/client';

/** Attributes that are not dials. */
export const OWN = ['src', 'say', 'mood', 'kit', 'fit', 'label'];

/** Attributes every element has, which no dial is asked for by; `dial-` before its id does. */
const HTML =
  /^(aria-.*|data-.*|on.*|class|id|style|title|hidden|lang|dir|slot|role|tabindex|part|inert|is|draggable|translate|popover)$/;

/** A dial by the attribute it is asked for by: by what it is for, or by its id. */
export function dialOf(attribute: string, dials: Dial[]): Dial | undefined {
  const purpose = {
    turn: 'TURN',
    nod: 'NOD',
    blink: 'BLINK',
    'gaze-x': 'GAZE_ACROSS',
    'gaze-y': 'GAZE_DOWN',
  }[attribute];
  const plain = attribute.replace(/^dial-/, '').toLowerCase();
  return (
    dials.find((d) => d.id.toLowerCase() === plain) ??
    (purpose ? dials.find((d) => d.purpose === purpose) : undefined)
  );
}

/** A value that is asked for: the gaze from -1 to 1, whatever its dial's range; others in the dial's unit, within its range. */
export function valueOf(attribute: string, dial: Dial, asked: number): number {
  if ((attribute === 'gaze-x' || attribute === 'gaze-y') && dial.id !== attribute) {
    const share = Math.max(-1, Math.min(1, asked));
    return dial.rest + (share >= 0 ? share * (dial.to - dial.rest) : -share * (dial.from - dial.rest));
  }
  return Math.max(dial.from, Math.min(dial.to, asked));
}

/** What is wrong with what was asked, told once each. */
export interface Asked {
  pose: PoseBody;
  wrong: string[];
}

const named = <T extends { id: string; name: string }>(all: T[], name: string) =>
  all.find((x) => x.id === name) ?? all.find((x) => x.name.toLowerCase() === name.toLowerCase());

const offered = (all: { name: string }[]) => all.map((x) => x.name).join(', ') || 'none';

/** The pose some attributes ask for. What a character does not have is told and left out. */
export function posed(attributes: [string, string][], character: Character): Asked {
  const { dials } = character.controls;
  const { looks, kits } = character.library;
  const wrong: string[] = [];
  const pose = {
    dials: {} as Record<string, number>,
    looks: {} as Record<string, number>,
    picks: {} as Record<string, string>,
  };
  for (const [attribute, text] of attributes) {
    if (attribute === 'mood') {
      for (const one of text.split(/[,;]/).filter((t) => t.trim())) {
        const [name = '', strength = '1'] = one.split(':').map((t) => t.trim());
        const look = named(looks, name);
        if (!look) wrong.push(`There is no look “${name}”; there are: ${offered(looks)}.`);
        else if (!Number.isFinite(Number(strength))) wrong.push(`“${strength}” is no strength of a look.`);
        else pose.looks[look.id] = Math.max(0, Math.min(1, Number(strength)));
      }
    } else if (attribute === 'kit') {
      for (const name of text.split(/[,;]/).map((t) => t.trim())) {
        const kit = name === '' ? undefined : named(kits, name);
        if (kit) Object.assign(pose.picks, kit.choices);
        else if (name !== '') wrong.push(`There is no kit “${name}”; there are: ${offered(kits)}.`);
      }
    } else if (!OWN.includes(attribute) && !HTML.test(attribute)) {
      const dial = dialOf(attribute, dials);
      const value = Number(text);
      if (!dial)
        wrong.push(`There is no dial “${attribute}”; there are: ${dials.map((d) => d.id).join(', ')}.`);
      else if (text.trim() === '' || !Number.isFinite(value))
        wrong.push(`“${text}” is no value of the dial ${dial.name}.`);
      else pose.dials[dial.id] = valueOf(attribute, dial, value);
    }
  }
  return { pose, wrong };
}

/** Two poses together; what the second says counts. */
export function over(under: PoseBody, upper: PoseBody): PoseBody {
  return {
    dials: { ...under.dials, ...upper.dials },
    looks: { ...under.looks, ...upper.looks },
    picks: { ...under.picks, ...upper.picks },
  };
}
