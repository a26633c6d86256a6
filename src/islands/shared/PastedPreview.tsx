import { questionModel } from '../../core';
import { MediaFrom, Sketch } from '../../scene';
import { Alert } from '../../ui/Alert';
import { benchMedia } from './ownMedia';
import type { PastedQuestion } from './usePasted';

const count = (n: number, word: string) => `${n} ${word}${n === 1 ? '' : 's'}`;

/** What would be made of what was pasted, or what that lacks. `height`: at most, in CSS pixels. */
export function PastedPreview({ made, height }: { made: PastedQuestion | null; height: number }) {
  const proposed = made?.proposed;
  return (
    <div
      className="grid place-items-center bg-paper border border-rule p-2 overflow-auto"
      style={{ minHeight: height + 44 }}
      aria-live="polite"
    >
      {!proposed && <p className="text-mute">What would be made of it stands here.</p>}
      {proposed && !proposed.ok && <Alert tone="notice">{proposed.message}</Alert>}
      {proposed?.ok && (
        <figure>
          <MediaFrom source={benchMedia(proposed.question.media)}>
            <Sketch
              question={proposed.question}
              width={Math.min(
                560,
                Math.round((height * proposed.question.scene.width) / proposed.question.scene.height),
              )}
            />
          </MediaFrom>
          <figcaption className="figures text-sm text-mute text-center mt-1">
            {count(proposed.question.items.length, 'item')} · {count(proposed.question.zones.length, 'zone')} ·{' '}
            {questionModel(proposed.question).entries.length} keyed
          </figcaption>
        </figure>
      )}
    </div>
  );
}

/** *The first line is a heading*, where a table of two columns was pasted. */
export function HeadingBox({ made, onChange }: { made: PastedQuestion | null; onChange: (headed: boolean) => void }) {
  if (made === null || made.listing.headed === null) return null;
  return (
    <label className="flex items-center gap-2 py-1">
      <input
        type="checkbox"
        className="checkbox checkbox-xs"
        checked={made.listing.headed}
        onChange={(event) => onChange(event.target.checked)}
      />
      the first line is a heading
    </label>
  );
}
