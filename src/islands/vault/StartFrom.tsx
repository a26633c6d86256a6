import { KINDS, type Kind } from '../../core';
import { Dialog } from '../../ui/Dialog';
import { KIND_NAMES, KIND_WORDS } from '../shared/kindNames';
import { KindSketch } from './KindSketch';

interface Props {
  /** The author's own starting points. */
  own: readonly { id: string; title: string; kind: Kind }[];
  onBegin: (from: { example: Kind } | { copyOf: string }) => void;
  onClose: () => void;
}

/** A finished example of each kind, and the author's own starting points. */
export function StartFrom({ own, onBegin, onClose }: Props) {
  return (
    <Dialog title="Start from" onClose={onClose} wide>
      {own.length > 0 && (
        <section aria-labelledby="own-starts" className="mb-4">
          <h3 id="own-starts" className="font-semibold mb-1">
            Your starting points
          </h3>
          <ul>
            {own.map(({ id, title, kind }) => (
              <li key={id} className="border-b border-rule py-1">
                <button
                  type="button"
                  className="link-brass cursor-pointer font-semibold"
                  onClick={() => onBegin({ copyOf: id })}
                >
                  {title}
                </button>{' '}
                <span className="text-mute">{KIND_NAMES[kind]}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <h3 className="font-semibold mb-1">Finished examples</h3>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(210px,1fr))] gap-3">
        {KINDS.map((kind) => (
          <li key={kind}>
            <button
              type="button"
              className="w-full h-full text-start border border-rule hover:border-ink bg-paper p-1.5 cursor-pointer"
              onClick={() => onBegin({ example: kind })}
            >
              <span className="block h-[104px] overflow-hidden" aria-hidden>
                <KindSketch kind={kind} />
              </span>
              <span className="block mt-1 font-semibold">{KIND_NAMES[kind]}</span>
              <span className="block text-sm text-mute">{KIND_WORDS[kind]}</span>
            </button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
