import { type CSSProperties, memo } from 'react';
import { type Frame, type Item, type Look, nameOf, type Shape, type Thing } from '../../../core';
import { dress, FixtureFace, ItemFace, pxTurned, useMediaSource, ZoneBed } from '../../../scene';

const WORDS = { item: 'Item', zone: 'Zone', fixture: 'Fixture' } as const;

const MIN_TITLED = 60;

interface Props {
  thing: Thing;
  frame: Frame;
  /** A zone's shape as it stands on the scene. */
  shape: Shape | null;
  look: Look | undefined;
  scale: number;
  selected: boolean;
  locked: boolean;
  veiled: boolean;
  /** A tool is drawing: nothing on the scene is in its way. */
  still: boolean;
  /** An event that the fixture answers is tried. */
  tried: boolean;
}

/** One thing at the Bench, drawn as learners will see it at rest. Presses are caught by the scene around it. */
export const ThingView = memo(
  function ThingView({ thing, frame, shape, look, scale, selected, locked, veiled, still, tried }: Props) {
    const media = useMediaSource();
    const common = {
      'data-ref': thing.ref,
      'data-id': thing.is.id,
      role: 'button',
      tabIndex: veiled ? -1 : 0,
      'aria-pressed': selected,
      'aria-label': `${WORDS[thing.kind]} ${nameOf(thing)}${locked ? ', locked' : ''}`,
      ...(locked || still ? { 'data-passive': true } : {}),
    };
    const hidden: CSSProperties = veiled ? { visibility: 'hidden' } : {};
    const chosen = selected ? 'bench-selected' : '';
    switch (thing.kind) {
      case 'zone': {
        if (!shape) return null;
        // The title of a small hidden spot would cover what it is on; learners never see it.
        const label = thing.is.hidden && frame.h < MIN_TITLED ? '' : thing.is.label;
        const zone = { id: thing.is.id, label, shape, rotation: frame.rotation };
        return (
          <ZoneBed
            zone={zone}
            scale={scale}
            look={look}
            className={`bench-thing ${chosen} ${veiled ? 'invisible' : ''}`}
            extra={common}
          />
        );
      }
      case 'item':
        return (
          <div
            className={`tag bench-thing ${chosen}`}
            style={{ ...dress(look, 'rest', scale, media), ...pxTurned(frame, scale), ...hidden }}
            data-heap={heaped(thing.is)}
            {...common}
          >
            <ItemFace label={thing.is.label} lang={thing.is.lang} content={thing.is.content} state="rest" />
          </div>
        );
      case 'fixture': {
        const { when } = thing.is;
        const absent = when !== null && (when.does === 'appears' ? !tried : when.does === 'disappears' && tried);
        return (
          <div
            className={`fixture bench-thing ${chosen} ${absent ? 'bench-absent' : ''}`}
            style={{ ...pxTurned(frame, scale), ...hidden }}
            {...common}
          >
            <FixtureFace
              fixture={thing.is}
              instead={when?.does === 'shows' && tried ? when.content : null}
              scale={scale}
              live={false}
            />
          </div>
        );
      }
    }
  },
  (a, b) =>
    a.thing.is === b.thing.is &&
    a.look === b.look &&
    a.scale === b.scale &&
    a.selected === b.selected &&
    a.locked === b.locked &&
    a.veiled === b.veiled &&
    a.still === b.still &&
    a.tried === b.tried &&
    sameFrame(a.frame, b.frame),
);

const heaped = (item: Item) => item.copies !== 1;
const sameFrame = (a: Frame, b: Frame) =>
  a.x === b.x && a.y === b.y && a.w === b.w && a.h === b.h && a.rotation === b.rotation;
