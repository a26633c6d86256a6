import { Plus, X } from 'lucide-react';
import { type ChangeEvent, useState } from 'react';
import { isShown } from '../../contract/media';
import { Field } from '../../ui';
import { sendMedium } from '../../ui/sendMedium';

export interface Source {
  readonly id: string;
  readonly title: string;
  readonly text: string;
  readonly medium: {
    readonly hash: string;
    readonly kind: 'picture' | 'sound' | 'film';
    readonly description: string;
  } | null;
  readonly captions: string;
  /** For a film at another address. */
  readonly address?: string | undefined;
  readonly questions: readonly string[];
}
interface Props {
  sources: readonly Source[];
  questions: readonly { id: string; title: string }[];
  onChange: (sources: Source[]) => void;
}

const NOTHING = 'There is nothing in it yet: a source has a text, a picture, a sound or a film.';
const hasNothing = ({ text, medium, address }: Source) => text.trim() === '' && medium === null && !address;

/** Material that stands beside questions of the set while they are answered. */
export function SourcesEditor({ sources, questions, onChange }: Props) {
  // An empty source is not saved yet.
  const [fresh, setFresh] = useState<Source | null>(null);
  const set = (next: Source) => {
    if (next.id === fresh?.id && hasNothing(next)) return setFresh(next);
    setFresh(null);
    onChange(
      next.id === fresh?.id ? [...sources, next] : sources.map((source) => (source.id === next.id ? next : source)),
    );
  };
  const shown = fresh ? [...sources, fresh] : sources;
  return (
    <section aria-labelledby="sources" className="mt-10">
      <h2 id="sources" className="text-xl mb-2">
        Sources <span className="figures text-base text-mute">{sources.length}</span>
      </h2>
      <p className="text-mute mb-3">
        What stands beside several questions: a text, a picture, a sound, or a film with its captions.
      </p>
      {shown.map((source) => (
        <One
          key={source.id}
          source={source}
          questions={questions}
          onSet={set}
          onRemove={() =>
            source.id === fresh?.id ? setFresh(null) : onChange(sources.filter(({ id }) => id !== source.id))
          }
        />
      ))}
      {!fresh && (
        <button
          type="button"
          className="btn btn-edge"
          onClick={() =>
            setFresh({
              id: crypto.randomUUID(),
              title: '',
              text: '',
              medium: null,
              captions: '',
              questions: questions.map(({ id }) => id),
            })
          }
        >
          <Plus size={16} aria-hidden /> Add a source
        </button>
      )}
    </section>
  );
}

function One({
  source,
  questions,
  onSet,
  onRemove,
}: {
  source: Source;
  questions: Props['questions'];
  onSet: (source: Source) => void;
  onRemove: () => void;
}) {
  const [draft, setDraft] = useState(source);
  const [problem, setProblem] = useState('');
  const keep = (next: Source) => {
    setDraft(next);
    if (next.captions !== '' && !/^\uFEFF?WEBVTT(?:\s|$)/.test(next.captions))
      return setProblem('Captions have to be WebVTT: their first line is WEBVTT.');
    if (next.address && !/^https:\/\/[^/\s]/.test(next.address)) return setProblem('An address begins with https://.');
    setProblem(hasNothing(next) ? NOTHING : '');
    if (hasNothing(next) && !hasNothing(source)) return;
    onSet(next);
  };
  const take = async ({ target }: ChangeEvent<HTMLInputElement>) => {
    const file = target.files?.[0];
    if (!file) return;
    const result = await sendMedium(file);
    if (typeof result === 'string') return setProblem(result);
    if (!isShown(result.kind)) return setProblem('A font is nothing to look at.');
    keep({
      ...draft,
      title: draft.title || file.name.replace(/\.[^.]*$/, ''),
      medium: { hash: result.hash, kind: result.kind, description: draft.medium?.description ?? '' },
    });
  };
  const name = draft.title || 'this source';
  return (
    <div className="border border-rule bg-sheet p-4 mb-4 grid gap-3 lg:grid-cols-2">
      <div className="grid gap-3 content-start">
        <div className="flex items-end gap-2">
          <Field
            className="grow"
            label="Title of the source"
            value={draft.title}
            maxLength={200}
            onChange={(event) => setDraft({ ...draft, title: event.target.value })}
            onBlur={() => keep(draft)}
          />
          <button type="button" className="btn btn-quiet btn-sm" aria-label={`Take ${name} away`} onClick={onRemove}>
            <X size={15} aria-hidden />
          </button>
        </div>
        <label className="grid gap-1">
          <span className="font-semibold">Text of the source</span>
          <textarea
            rows={5}
            className="textarea w-full"
            value={draft.text}
            onChange={(event) => setDraft({ ...draft, text: event.target.value })}
            onBlur={() => keep(draft)}
          />
        </label>
        <label className="grid gap-1">
          <span className="font-semibold">Picture, sound or film</span>
          <input
            type="file"
            accept="image/*,audio/*,video/*"
            className="file-input w-full"
            onChange={(event) => void take(event)}
          />
        </label>
        {!draft.medium && (
          <Field
            label="Or a film by its address"
            type="url"
            placeholder="https://"
            value={draft.address ?? ''}
            maxLength={2000}
            onChange={(event) => setDraft({ ...draft, address: event.target.value.trim() })}
            onBlur={() => keep({ ...draft, address: draft.address || undefined })}
          />
        )}
        {!draft.medium && draft.address && <Captions draft={draft} setDraft={setDraft} keep={keep} />}
        {draft.medium && (
          <>
            <p className="figures text-sm text-mute">
              a {draft.medium.kind}{' '}
              <button
                type="button"
                className="link-brass cursor-pointer"
                onClick={() => keep({ ...draft, medium: null })}
              >
                take it out
              </button>
            </p>
            <Field
              label="What it shows or says, for those who do not see or hear it"
              value={draft.medium.description}
              maxLength={2000}
              onChange={(event) =>
                draft.medium && setDraft({ ...draft, medium: { ...draft.medium, description: event.target.value } })
              }
              onBlur={() => keep(draft)}
            />
            {draft.medium.kind === 'film' && <Captions draft={draft} setDraft={setDraft} keep={keep} />}
          </>
        )}
        {problem && (
          <p role="alert" className="text-brick">
            {problem}
          </p>
        )}
      </div>
      <fieldset>
        <legend className="font-semibold mb-1">Stands beside</legend>
        {questions.map(({ id, title }, i) => (
          <label key={id} className="flex items-center gap-2 py-0.5">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={draft.questions.includes(id)}
              onChange={(event) =>
                keep({
                  ...draft,
                  questions: event.target.checked
                    ? [...draft.questions, id]
                    : draft.questions.filter((question) => question !== id),
                })
              }
            />
            <span className="figures text-mute">{i + 1}</span> {title || 'Untitled question'}
          </label>
        ))}
      </fieldset>
    </div>
  );
}

function Captions({
  draft,
  setDraft,
  keep,
}: {
  draft: Source;
  setDraft: (draft: Source) => void;
  keep: (next: Source) => void;
}) {
  return (
    <label className="grid gap-1">
      <span className="font-semibold">Captions (WebVTT)</span>
      <textarea
        rows={4}
        className="textarea w-full figures"
        placeholder="WEBVTT"
        value={draft.captions}
        onChange={(event) => setDraft({ ...draft, captions: event.target.value })}
        onBlur={() => keep(draft)}
      />
    </label>
  );
}
