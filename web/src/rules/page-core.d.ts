/** The doors of the compiled core, as `page-core` exports them; what they do is said there. */
declare module 'page-core' {
  type Schemas = import('../api/schema').components['schemas'];

  export interface OpenLine {
    frame(at: number, live: Schemas['PoseBody']): Schemas['Frame'];
    joints(at: number, live: Schemas['PoseBody']): Schemas['Joint'][];
    why(at: number, part: string, live: Schemas['PoseBody']): Schemas['Reason'][];
    with(character: OpenCharacter): OpenLine;
    plain(): OpenLine;
    of(shot: Schemas['Shot']): OpenLine;
    /** The shot without what of its tracks has not changed since an earlier state, and whose tracks those are. */
    changes(before: OpenLine): {
      shot: Schemas['Shot'];
      dials: string[];
      drawings: string[];
      keyed: string[];
    };
    keys(dial: string): Schemas['DialKey'][];
    /** The frames at which some dial has a key. */
    keyFrames(): Int32Array;
    /** From what a drawing held from a frame on comes over, and how many of its pieces; null where nothing was before. */
    crossing(
      part: string,
      drawing: string,
      frame: number,
    ): { from: string; pieces: number; over: number; could: number } | null;
    drafts(kind: string): boolean;
    draft(edit: Schemas['ShotEdit']): LineDraft;
    keyed(at: number): Record<string, number>;
    values(dial: string): Float64Array;
    mouths(): string[];
    cueOf(
      tracks: Schemas['Track'][],
      from: number,
      to: number,
      id: string,
      name: string,
    ): Schemas['Cue'] | string;
    mirrored(strip: Schemas['Strip']): Schemas['Strip'];
    copy(tracks: Schemas['Track'][], from: number, to: number): Schemas['Strip'];
    /** What was played by hand while the shot ran, as an edit that puts its keys in; a sentence when there is nothing to put in. */
    played(take: LiveTake, settings: LiveSettings): Schemas['ShotEdit'] | string;
  }

  /** Frames are counted from 0, with what lies between two of them. */
  export interface LiveTake {
    from: number;
    to: number;
    dials: Record<string, { frame: number; value: number }[]>;
    drawings: Record<string, { frame: number; drawing: string }[]>;
    looks: Record<string, { frame: number; value: number }[]>;
    /** When each cue was set going; left out in takes of before there were any. */
    cues?: Record<string, number[]>;
  }

  export interface LiveSettings {
    /** Share of a dial's range. */
    tolerance: number;
    /** Seconds. */
    latency: number;
    smoothing?: { minimumCutoff: number; beta: number; derivativeCutoff: number };
  }

  export interface LineDraft {
    after(): OpenLine | null;
    refused(): string;
  }

  export interface Draft {
    after(): OpenCharacter | null;
    refused(): string;
  }

  export interface OpenCharacter {
    frame(pose: Schemas['PoseBody']): Schemas['Frame'];
    joints(pose: Schemas['PoseBody']): Schemas['Joint'][];
    why(part: string, pose: Schemas['PoseBody']): Schemas['Reason'][];
    line(shot: Schemas['Shot']): OpenLine;
    drafts(kind: string): boolean;
    draft(edit: Schemas['Edit']): Draft;
    redrawnSince(other: OpenCharacter): Schemas['Redrawn'][];
    steadied(dial: string, last: number, value: number): number;
    cue(cue: string, pose: Schemas['PoseBody']): Schemas['Frame'][];
    play(
      dial: string,
      pose: Schemas['PoseBody'],
      frames: number,
      exposure: number,
      eased: boolean,
    ): Schemas['Frame'][];
  }

  export function sources(): string;
  export function open(
    character: Schemas['Character'],
    artwork: Record<string, Schemas['Shape'][]>,
    before: OpenCharacter | null,
  ): OpenCharacter;
}
