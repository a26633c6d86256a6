import type { Fixture } from '../document/schema';

/**
 * A fixture with those of its events that stay. One that has none left is always there, but if it appears only then: it
 * never does.
 */
export function withoutEvents<F extends Fixture>(
  fixture: F,
  stays: (event: NonNullable<Fixture['when']>['events'][number]) => boolean,
): F {
  if (!fixture.when || fixture.when.events.every(stays)) return fixture;
  return { ...fixture, when: { ...fixture.when, events: fixture.when.events.filter(stays) } };
}
