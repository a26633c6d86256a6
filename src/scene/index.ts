export { cssColour, dress, motionIn } from './dress';
export { FixtureFace } from './FixtureFace';
export { ItemFace, type ItemState } from './ItemFace';
export { MediaFrom, type MediaSource, Picture, type Shown as ShownMedium, useMediaSource } from './media';
export { px, pxTurned } from './px';
export { RichText } from './RichText';
export { Sketch } from './Sketch';
export { Stage } from './Stage';
export { ZoneBed, type ZoneState } from './ZoneBed';
