import type { Outcome, SceneModel, Verdict } from '../../core';
import type { TryView } from './types';

/** What the page says, on screen or to a screen reader. */
interface Source {
  readonly model: SceneModel;
  readonly label: (item: number) => string;
  readonly zoneLabel: (zone: number) => string;
}

export function outcomeInWords({ label, zoneLabel }: Source, item: number, outcome: Outcome): string {
  switch (outcome.to) {
    case 'zone':
      return `${label(item)} is in ${zoneLabel(outcome.zone)}.`;
    case 'home':
      return `${label(item)} is back where it came from.`;
    case 'loose':
      return `${label(item)} lies outside every zone.`;
    case 'turnedAway':
      return outcome.why === 'full'
        ? `${zoneLabel(outcome.zone)} is full: ${label(item)} went back.`
        : `${label(item)} does not belong in ${zoneLabel(outcome.zone)}: it went back.`;
    case 'unknown':
      return `${label(item)} waits to be judged.`;
    case 'refused':
      return outcome.message;
  }
}

export const VERDICTS: Record<Verdict, string> = { right: ', right', wrong: ', wrong', none: '' };

export function tryInWords({ fullMarks, verdicts }: TryView, ended: boolean): string {
  if (fullMarks) return 'All of it is right.';
  const wrong = verdicts.filter((v) => v.verdict === 'wrong').length;
  const what = wrong === 0 ? 'Nothing is in a wrong place, but not everything is where it belongs.' : wrong === 1 ? 'One is in a wrong place.' : `${wrong} are in a wrong place.`;
  return ended ? `${what} That was the last try.` : what;
}
