import { Blinks } from './BlinkLane';
import { Gestures } from './GestureLane';

/** How wide the names of the lanes are, pixels. */
export const LABELS = 84;

/**
 * What each lane of the strip is called.
 *
 * @param heard how high the sound's lane is, pixels
 * @param mouths how high the mouths' lane is, pixels
 */
export function StripLabels({
  heard,
  mouths,
  moods,
  timings,
}: {
  heard: number;
  mouths: number;
  /** Whether it has a lane of moods. */
  moods: boolean;
  /** Whether it has a lane of timings. */
  timings: boolean;
}) {
  return (
    <div className="shrink-0 text-[11.5px] leading-none text-faint" style={{ width: LABELS }}>
      <div className="flex items-center" style={{ height: heard }} aria-hidden>
        sound
      </div>
      <div className="flex h-[20px] items-center" aria-hidden>
        words
      </div>
      <div className="flex h-[20px] items-center" aria-hidden>
        sounds
      </div>
      <div className="flex items-center" style={{ height: mouths }} aria-hidden>
        mouths
      </div>
      {moods && (
        <div className="flex h-[18px] items-center" aria-hidden>
          mood
        </div>
      )}
      {timings && (
        <div className="flex h-[18px] items-center" aria-hidden>
          timing
        </div>
      )}
      <div className="flex h-[18px] items-center">
        <Blinks />
      </div>
      <div className="flex h-[18px] items-center">
        <Gestures />
      </div>
    </div>
  );
}
