import type { Said } from '../../core';
import { Picture } from '../../scene/media';
import { RichText } from '../../scene/RichText';
import { phrase } from '../../words';
import { Heard } from './Heard';

/** Words of the author's, with their picture and their sound. `width`: of the picture, in CSS pixels. */
export function Saying({ said, width }: { said: Said; width: number }) {
  return (
    <>
      {said.text && <RichText rich={said.text} />}
      {said.picture && (
        <span className="saying-picture">
          <Picture id={said.picture} width={width} />
        </span>
      )}
      <Heard id={said.sound} otherwise={phrase('player.saidSpoken')} className="h-9 mt-1" />
    </>
  );
}
