import { useMemo } from 'react';
import type { Kind } from '../../core';
import { exampleOf } from '../../core/kinds';
import { MediaFrom, Sketch } from '../../scene';

const NO_MEDIA = () => null;
const WIDTH = 204;

/** The finished example of a kind, drawn small. */
export function KindSketch({ kind }: { kind: Kind }) {
  const question = useMemo(() => exampleOf(kind, 'example'), [kind]);
  return (
    <MediaFrom source={NO_MEDIA}>
      <Sketch question={question} width={WIDTH} />
    </MediaFrom>
  );
}
