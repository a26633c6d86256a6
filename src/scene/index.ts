export { ItemFace, type ItemState } from './ItemFace';
export { px } from './px';
export { RichText } from './RichText';
export { Stage } from './Stage';
export { ZoneBed, type ZoneState } from './ZoneBed';
