// What crosses the network, in one place for both sides: requests, answers, limits, defaults and vocabularies.

export * from './account';
export * from './board';
export * from './corrections';
export * from './courses';
export * from './defaults';
export * from './errors';
export * from './gradebook';
export * from './limits';
export * from './lists';
export * from './live';
export * from './media';
export * from './morningMail';
export * from './operation';
export * from './operations';
export * from './problems';
export * from './questions';
export * from './releases';
export * from './results';
export * from './revised';
export * from './roster';
export * from './sets';
export * from './shelves';
export * from './sittings';
export * from './today';
export * from './vocabulary';
export * from './wire';
