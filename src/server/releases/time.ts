/** How long a learner has: as for all, and what they are allowed beyond that. */
export interface Time {
  readonly closesAt: Date | null;
  readonly minutes: number | null;
}

/** A learner's own time. */
export const timeFor = (
  all: Time,
  allowed: { readonly moreMinutes: number | null; readonly closesAt: Date | null } | null,
): Time => ({
  closesAt: allowed?.closesAt ?? all.closesAt,
  minutes: all.minutes === null ? null : all.minutes + (allowed?.moreMinutes ?? 0),
});

/** The clocks: what time it is, and one that goes on evenly whatever the machine's clock is set to, in milliseconds. */
export interface Clocks {
  readonly now: () => Date;
  readonly steady?: (() => number) | undefined;
}
export const steadyNow = ({ now, steady }: Clocks): number => steady?.() ?? now().getTime();

/**
 * How much of its time a sitting has used, in milliseconds. A clock that was set back while the server was down counts
 * for nothing.
 */
export function usedBy(
  { startedAt, usedMs, usedAt }: { startedAt: Date; usedMs: number | null; usedAt: number | null },
  clocks: Clocks,
): number {
  const since = usedAt ?? startedAt.getTime();
  return (usedMs ?? 0) + Math.max(0, steadyNow(clocks) - since);
}

/** When a sitting that has used so much of its time has to end. Null: when the learner likes. */
export function endOf(usedMs: number, { closesAt, minutes }: Time, now: Date): Date | null {
  const ends = [closesAt, minutes === null ? null : new Date(now.getTime() + minutes * 60_000 - usedMs)].flatMap(
    (end) => end?.getTime() ?? [],
  );
  return ends.length === 0 ? null : new Date(Math.min(...ends));
}

/**
 * A clock that starts at the machine's time and goes on evenly from there: the machine's own may be set forward or back
 * meanwhile. `latest`: the latest time that is on record; a machine that starts behind it goes on from there.
 */
export function steadyClock(latest = 0): () => number {
  const began = Math.max(Date.now(), latest);
  const from = performance.now();
  return () => began + (performance.now() - from);
}
