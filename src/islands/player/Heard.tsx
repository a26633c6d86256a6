import { useMediaSource } from '../../scene/media';

/** A sound of the author's, to be played. `otherwise`: its name where it is not described. Nothing where there is none. */
export function Heard({
  id,
  otherwise,
  className = 'h-9',
}: {
  id: string | null;
  otherwise: string;
  className?: string;
}) {
  const sound = useMediaSource()(id ?? '');
  return (
    sound && (
      // biome-ignore lint/a11y/useMediaCaption: what it says is its description, which is its name
      <audio
        controls
        preload="none"
        src={sound.url}
        aria-label={sound.description || otherwise}
        className={className}
      />
    )
  );
}
