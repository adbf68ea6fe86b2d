/** The doors of the part of the compiled core that only playing live needs, as `page-live` exports them. */
declare module 'page-live' {
  type Schemas = import('../api/schema').components['schemas'];

  export type SignalId = Schemas['SignalLink']['signal'];
  export type SourceId = 'FACE' | 'GAMEPAD' | 'MICROPHONE';

  export interface Signal {
    id: SignalId;
    /** What it is called on the wire. */
    word: string;
    title: string;
    says: string;
    unit: string;
    source: SourceId;
    from: number;
    to: number;
  }

  /** Signals by their words. */
  export type Told = Record<string, number>;

  export interface Target {
    kind: 'dial' | 'look';
    id: string;
    from: number;
    to: number;
    rest: number;
    degrees: boolean;
    shuts: boolean;
  }

  export interface Standing {
    dials: Record<string, number>;
    looks: Record<string, number>;
    /** How far each signal is from neutral, by its id; those never told are left out. */
    signals: Partial<Record<SignalId, number>>;
    /** Seconds without a word. */
    lostFor: number;
    /** 1 while the performer is there, 0 when it has been eased to rest. */
    there: number;
  }

  export interface PagePerformer {
    links(links: Schemas['SignalLink'][]): void;
    settings(settings: {
      neutral: Told;
      cutoff?: number;
      beta?: number;
      mirrored: boolean;
      holds: boolean;
    }): void;
    hears(at: number, signals: Told): void;
    /** Points of a face in a camera's picture, x, y and z of each as shares of it. */
    sees(at: number, points: Float64Array, width: number, height: number): void;
    /** The face as it is seen now is at rest. */
    restsNow(): void;
    told(): Told;
    now(at: number): Standing;
  }

  /** The mouth of a character while somebody speaks. */
  export interface PageMouth {
    /** A sound begins; in ARPAbet, empty for silence. */
    hears(at: number, phone: string): void;
    /** The drawing that is shown in a mood; empty when there is none. */
    now(at: number, mood: string): string;
  }

  export function performer(targets: Target[]): PagePerformer;
  export function mouth(chart: Schemas['Character']['voice']['mouths']): PageMouth;
  export function signals(): Signal[];
  export function performances(): { id: string; title: string; seconds: number }[];
  export function simulated(performance: string, seconds: number): Told;
}
