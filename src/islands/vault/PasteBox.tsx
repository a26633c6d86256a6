import { type FormEvent, useState } from 'react';
import { BLANK_TITLE, newQuestion } from '../../core/document';
import { FROM_TEXT } from '../../core/kinds';
import { Choice } from '../../ui/Choice';
import { KIND_NAMES } from '../shared/kindNames';
import { HeadingBox, PastedPreview } from '../shared/PastedPreview';
import { takeAlong } from '../shared/takenAlong';
import { usePasted } from '../shared/usePasted';
import { newQuestionAt } from './newQuestion';

/** A list, a table or a text becomes a working question: what of it is to be seen before it is made. */
export function PasteBox({ shelfId }: { shelfId: string | null }) {
  const [blank] = useState(() => newQuestion('pasted', BLANK_TITLE));
  const { pasted, made, set } = usePasted(blank, null);
  const make = (event: FormEvent) => {
    event.preventDefault();
    if (!made?.proposed.ok) return;
    takeAlong({ ...pasted, kind: made.kind });
    location.assign(newQuestionAt(shelfId, { pasted: 'yes' }));
  };
  return (
    <form onSubmit={make}>
      <h2 className="text-lg">
        <label htmlFor="paste-box">Paste a list, a table or a text</label>
      </h2>
      <div className={`grid gap-3 mt-1 ${made ? 'grid-cols-2' : ''}`}>
        <div>
          <textarea
            id="paste-box"
            rows={made ? 9 : 3}
            className="textarea w-full"
            placeholder={'Stands drying:\nBarley\nPoppy\n\nStays moist:\nAcorn'}
            value={pasted.text}
            onChange={(event) => set({ text: event.target.value })}
            onKeyDown={(event) => {
              if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) make(event);
            }}
          />
          {made && (
            <>
              <Choice
                label="Kind"
                options={FROM_TEXT.map((kind) => [kind, KIND_NAMES[kind]] as const)}
                value={made.kind}
                onChoose={(kind) => set({ kind })}
              />
              <HeadingBox made={made} onChange={(headed) => set({ headed })} />
              <button type="submit" className="btn btn-primary mt-2" disabled={!made.proposed.ok}>
                Make it
              </button>
            </>
          )}
        </div>
        {made && <PastedPreview made={made} height={190} />}
      </div>
    </form>
  );
}
