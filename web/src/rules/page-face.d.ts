/** The doors of the part of the compiled core that a face in another page needs, as `page-face` exports them. */
declare module 'page-face' {
  type Frame = import('../api/client').Frame;
  type PoseBody = import('../api/client').PoseBody;
  type Schemas = import('../api/schema').components['schemas'];

  export interface PlayedFace {
    frame(pose: PoseBody): Frame;
    cue(cue: string, pose: PoseBody): Frame[];
    line(shot: Schemas['Shot'], acted: boolean): PlayedLine;
  }

  export interface PlayedLine {
    frame(at: number, live: PoseBody): Frame;
  }

  export function open(character: unknown, artwork: unknown): PlayedFace;
}
