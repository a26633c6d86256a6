/** The time a learner has: that of everybody, with their own allowance. */
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

/** The wall clock, and a steady clock in milliseconds that setting the machine's clock does not change. */
export interface Clocks {
  readonly now: () => Date;
  readonly steady?: (() => number) | undefined;
}
export const steadyNow = ({ now, steady }: Clocks): number => steady?.() ?? now().getTime();

/**
 * The time an attempt has used, in milliseconds. If the wall clock was set back while the server was down, no time is
 * added.
 */
export function usedBy(
  { startedAt, usedMs, usedAt }: { startedAt: Date; usedMs: number | null; usedAt: number | null },
  clocks: Clocks,
): number {
  const since = usedAt ?? startedAt.getTime();
  return (usedMs ?? 0) + Math.max(0, steadyNow(clocks) - since);
}

/** When an attempt has to end, by its used time; null: no limit. */
export function endOf(usedMs: number, { closesAt, minutes }: Time, now: Date): Date | null {
  const ends = [closesAt, minutes === null ? null : new Date(now.getTime() + minutes * 60_000 - usedMs)].flatMap(
    (end) => end?.getTime() ?? [],
  );
  return ends.length === 0 ? null : new Date(Math.min(...ends));
}

/**
 * A steady clock that starts at the machine's time: setting the machine's clock later does not change it. `latest`: the
 * latest recorded time; a machine that starts behind it continues from there.
 */
export function steadyClock(latest = 0): () => number {
  const began = Math.max(Date.now(), latest);
  const from = performance.now();
  return () => began + (performance.now() - from);
}
