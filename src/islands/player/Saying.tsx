import type { Said } from '../../core';
import { Picture, useMediaSource } from '../../scene/media';
import { RichText } from '../../scene/RichText';

/** Words of the author's, with their picture and their sound. `width`: of the picture, in CSS pixels. */
export function Saying({ said, width }: { said: Said; width: number }) {
  const sound = useMediaSource()(said.sound ?? '');
  return (
    <>
      {said.text && <RichText rich={said.text} />}
      {said.picture && (
        <span className="saying-picture">
          <Picture id={said.picture} width={width} />
        </span>
      )}
      {sound && (
        // biome-ignore lint/a11y/useMediaCaption: what it says is its description
        <audio
          controls
          preload="none"
          src={sound.url}
          aria-label={sound.description || 'What is said, to hear'}
          className="h-9 mt-1"
        />
      )}
    </>
  );
}
