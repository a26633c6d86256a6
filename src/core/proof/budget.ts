/** Work that may be stopped: asked now and then whether time is up. The core has no clock; whoever calls it has. */
export interface Budget {
  /** Counts work done, in steps of some tens of nanoseconds each; throws {@link OutOfTime} once time is up. */
  spend(steps: number): void;
}

export class OutOfTime extends Error {}
/** Counting would take more memory or work than it is worth: sampling is the better way. */
export class TooMany extends Error {}

/** What the work comes to; null where it is {@link TooMany}. */
export function orTooMany<T>(work: () => T): T | null {
  try {
    return work();
  } catch (error) {
    if (error instanceof TooMany) return null;
    throw error;
  }
}

const STEPS_BETWEEN_LOOKS = 20_000;

export function budget(isOver: () => boolean): Budget {
  let spent = 0;
  return {
    spend(steps) {
      spent += steps;
      if (spent < STEPS_BETWEEN_LOOKS) return;
      spent = 0;
      if (isOver()) throw new OutOfTime('time is up');
    },
  };
}

export const unlimited: Budget = { spend: () => undefined };
