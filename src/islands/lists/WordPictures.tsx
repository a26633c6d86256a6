import { ImagePlus, X } from 'lucide-react';
import type { ChangeEvent } from 'react';
import type { WordPicture } from '../../core/kinds';
import { sendMedium } from '../../ui/sendMedium';

interface Props {
  words: readonly string[];
  pictures: readonly WordPicture[];
  onChange: (pictures: readonly WordPicture[]) => void;
  onProblem: (words: string) => void;
}

/** More lines than this are no list one gives pictures to by hand. */
const MOST = 100;

/** The words of a list, each with the picture it may have. */
export function WordPictures({ words, pictures, onChange, onProblem }: Props) {
  const shown = [...new Set(words)].slice(0, MOST);
  if (shown.length === 0) return null;
  const take = async (word: string, { target }: ChangeEvent<HTMLInputElement>) => {
    const [file] = target.files ?? [];
    target.value = '';
    if (!file) return;
    const kept = await sendMedium(file);
    if (typeof kept === 'string') return onProblem(kept);
    if (kept.kind !== 'picture') return onProblem('That is no picture: a list has pictures with its words.');
    onProblem('');
    onChange([
      ...pictures.filter((picture) => picture.word !== word),
      { word, hash: kept.hash, weight: kept.weight, description: '' },
    ]);
  };
  return (
    <details open={pictures.length > 0}>
      <summary className="cursor-pointer font-semibold">
        Pictures <span className="figures text-sm font-normal text-mute">{pictures.length}</span>
      </summary>
      <ul className="mt-1 grid sm:grid-cols-2 gap-x-6">
        {shown.map((word) => {
          const picture = pictures.find((picture) => picture.word === word);
          return (
            <li key={word} className="flex items-center gap-2 border-b border-rule py-1 min-h-12">
              <span className="grow min-w-0 truncate" dir="auto">
                {word}
              </span>
              {picture && (
                <>
                  <img
                    src={`/media/${picture.hash}`}
                    alt={picture.description || word}
                    className="h-10 w-14 object-contain bg-paper border border-rule"
                  />
                  <button
                    type="button"
                    className="btn btn-quiet btn-xs"
                    aria-label={`Take the picture of ${word} away`}
                    onClick={() => onChange(pictures.filter((wordPicture) => wordPicture !== picture))}
                  >
                    <X size={13} aria-hidden />
                  </button>
                </>
              )}
              <label className="btn btn-edge btn-xs focus-within:outline-2">
                <ImagePlus size={13} aria-hidden />
                <span className="sr-only">Picture of {word}</span>
                <input type="file" accept="image/*" className="sr-only" onChange={(event) => void take(word, event)} />
              </label>
            </li>
          );
        })}
      </ul>
    </details>
  );
}
