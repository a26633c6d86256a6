import { boxOfShape, type Question, type Shape, TOKENS } from '../../core';
import { plainText } from '../../core/document';
import { mimeOf } from './words';
import { element, writeXml, type XmlElement } from './xml';

/** Files of media, by their ids in the question: where each lies in the package, and what is in it. */
export type Pictures = ReadonlyMap<string, { readonly href: string; readonly bytes: Uint8Array }>;

const SVG = 'http://www.w3.org/2000/svg';
const FONT = 15;
const LINE = 1.3;

const hexOf = (colour: string | null | undefined, otherwise: keyof typeof TOKENS): string =>
  colour == null ? TOKENS[otherwise] : Object.hasOwn(TOKENS, colour) ? TOKENS[colour as keyof typeof TOKENS] : colour;

const turnedAbout = (rotation: number, x: number, y: number) =>
  rotation % 360 === 0 ? undefined : `rotate(${rotation} ${x} ${y})`;

function shapeIn(
  shape: Shape,
  rotation: number,
  look: Readonly<Record<string, string | number | undefined>>,
): XmlElement[] {
  switch (shape.type) {
    case 'slot':
      return [];
    case 'rect': {
      const { x, y, w, h } = shape;
      return [
        element('rect', { x, y, width: w, height: h, ...look, transform: turnedAbout(rotation, x + w / 2, y + h / 2) }),
      ];
    }
    case 'ellipse': {
      const { cx, cy, rx, ry } = shape;
      return [element('ellipse', { cx, cy, rx, ry, ...look, transform: turnedAbout(rotation, cx, cy) })];
    }
    case 'polygon':
      return [element('polygon', { points: shape.points.map((point) => point.join(',')).join(' '), ...look })];
  }
}

const base64 = (bytes: Uint8Array): string => {
  let characters = '';
  for (const byte of bytes) characters += String.fromCharCode(byte);
  return btoa(characters);
};

/** A picture drawn into another: an SVG shown as a picture loads no further file, so its bytes stand in it. */
const pictureIn = (
  media: Pictures,
  id: string,
  box: Readonly<Record<string, number | string | undefined>>,
): XmlElement[] => {
  const file = media.get(id);
  return file
    ? [
        element('image', {
          ...box,
          href: `data:${mimeOf(file.href)};base64,${base64(file.bytes)}`,
          preserveAspectRatio: 'xMidYMid meet',
        }),
      ]
    : [];
};

const linesIn = (text: string, x: number, y: number, size: number, anchor: 'start' | 'middle'): XmlElement[] =>
  text === ''
    ? []
    : [
        element(
          'text',
          { x, y, 'font-size': size, 'font-family': 'sans-serif', fill: TOKENS.ink, 'text-anchor': anchor },
          text.split('\n').map((line, i) => element('tspan', { x, dy: i === 0 ? 0 : size * LINE }, [line])),
        ),
      ];

function fixtureIn(fixture: Question['fixtures'][number], media: Pictures): XmlElement[] {
  const { x, y, w, h, rotation } = fixture;
  const transform = turnedAbout(rotation, x + w / 2, y + h / 2);
  switch (fixture.type) {
    case 'picture':
      return pictureIn(media, fixture.media, { x, y, width: w, height: h, transform });
    case 'text': {
      const size = fixture.letters?.size ?? FONT;
      return [element('g', { transform }, linesIn(plainText(fixture.text), x, y + size, size, 'start'))];
    }
    case 'shape':
      return [
        element('g', { transform }, [
          element(
            'g',
            { transform: `translate(${x} ${y})` },
            shapeIn(fixture.shape, 0, {
              fill: fixture.fill === null ? 'none' : hexOf(fixture.fill, 'sheet'),
              stroke: fixture.edge === null ? 'none' : hexOf(fixture.edge, 'ink'),
              'stroke-width': fixture.edgeWidth,
            }),
          ),
        ]),
      ];
    case 'sound':
    case 'film':
      return [];
  }
}

/** A zone that is seen: its outline, and its title at the top. */
function zoneIn({ shape, rotation, hidden, title, label }: Question['zones'][number]): XmlElement[] {
  const box = boxOfShape(shape);
  if (hidden || !box) return [];
  return [
    ...shapeIn(shape, rotation, { fill: TOKENS.sheet, 'fill-opacity': 0.7, stroke: TOKENS.mute, 'stroke-width': 1.5 }),
    ...linesIn(title ? plainText(title) : label, box.x + box.w / 2, box.y + FONT * LINE, FONT, 'middle'),
  ];
}

const svg = (width: number, height: number, children: readonly XmlElement[]): string =>
  writeXml(element('svg', { xmlns: SVG, width, height, viewBox: `0 0 ${width} ${height}` }, children));

/** The scene of a question with all that does not move, as an SVG picture in scene units. */
export function scenePicture(question: Question, media: Pictures): string {
  const { width, height } = question.scene;
  const ground = question.dress?.ground;
  const fixtures = (front: boolean) =>
    question.fixtures.filter((fixture) => fixture.front === front).flatMap((fixture) => fixtureIn(fixture, media));
  return svg(width, height, [
    element('rect', { x: 0, y: 0, width, height, fill: hexOf(ground?.colour, 'paper') }),
    ...(ground?.picture ? pictureIn(media, ground.picture, { x: 0, y: 0, width, height }) : []),
    ...fixtures(false),
    ...question.zones.flatMap(zoneIn),
    ...fixtures(true),
  ]);
}

/** A cross, as markers are drawn. */
export const markerPicture = (w: number, h: number): string =>
  svg(w, h, [
    element('path', {
      d: `M ${w * 0.2} ${h * 0.2} L ${w * 0.8} ${h * 0.8} M ${w * 0.8} ${h * 0.2} L ${w * 0.2} ${h * 0.8}`,
      stroke: TOKENS.brick,
      'stroke-width': Math.max(2, w * 0.1),
      fill: 'none',
    }),
  ]);
