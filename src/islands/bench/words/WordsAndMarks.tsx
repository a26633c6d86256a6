import { Plus, Trash2 } from 'lucide-react';
import { type KeyEntry, type Question, refTo, setEntry, setQuestion } from '../../../core';
import { Choice } from '../../../ui/Choice';
import { Typed } from '../../../ui/Typed';
import { AidChoices } from '../../shared/AidChoices';
import { aimIn } from '../aim';
import { MediumField } from '../media/MediumField';
import { LanguageField } from '../parts/LanguageField';
import { SayField } from '../parts/SayField';
import { Section } from '../parts/Section';
import { Setting } from '../parts/Setting';
import { RichField } from '../rich/RichField';
import type { BenchStore } from '../store';
import { Marks } from './Marks';
import { SaysGrid } from './SaysGrid';

const MAX_HINTS = 20;
const FEEDBACK: readonly [keyof Question['feedback'], string][] = [
  ['right', 'All right'],
  ['partly', 'Partly right'],
  ['wrong', 'All wrong'],
];

/** The prompt, what is said of an answer, hints, the words on the buttons, and what it all earns. */
export function WordsAndMarks({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const selection = store((s) => s.selection);
  const act = store.getState().do;
  const now = () => store.getState().question;
  // Of a neutral zone nothing is right or wrong, and nothing is said.
  const zones = question.zones.filter(
    ({ id }) => selection.has(refTo('zone', id)) && entryOf(question, id) !== undefined,
  );
  const { show } = question;
  return (
    <>
      <h2 className="text-lg mb-1">
        Words &amp; marks <span className="font-sans font-normal text-base text-mute">what is said, what it earns</span>
      </h2>
      <div className="@2xl:grid @2xl:grid-cols-2 @2xl:gap-x-6 @2xl:items-start">
        <div>
          <Section title="Prompt">
            <RichField
              label="Prompt"
              value={question.prompt}
              lines={2}
              onTyped={(prompt) => act(setQuestion(now(), 'prompt', prompt))}
            />
            <div className="mt-1">
              <MediumField
                store={store}
                label="Spoken form"
                kind="sound"
                value={question.promptSound}
                onChoose={(id) => act(setQuestion(now(), 'promptSound', id))}
              />
            </div>
          </Section>
          <Section title="Language" open={question.lang !== null || question.titleLang !== null}>
            <Setting label="Question">
              <LanguageField
                label="Language of the question"
                value={question.lang}
                empty="the course’s"
                onSet={(lang) => act(setQuestion(now(), 'lang', lang))}
              />
            </Setting>
            <Setting label="Title">
              <LanguageField
                label="Language of the title"
                value={question.titleLang}
                empty="the question’s"
                onSet={(lang) => act(setQuestion(now(), 'titleLang', lang))}
              />
            </Setting>
          </Section>
          <Section title="Feedback">
            {FEEDBACK.map(([when, words]) => (
              <div key={when} className="mb-2">
                <p className="text-mute">{words}</p>
                <SayField
                  store={store}
                  label={`Feedback: ${words.toLowerCase()}`}
                  value={question.feedback[when]}
                  onChange={(say) => act(setQuestion(now(), 'feedback', { ...now().feedback, [when]: say }))}
                />
              </div>
            ))}
          </Section>
          <Section title="Feedback where it happens" open={aimIn(location.search).cell !== null}>
            {zones.map((zone) => (
              <div key={zone.id} className="mb-2">
                <p className="text-mute">Of {zone.label || zone.id} as a whole</p>
                <SayField
                  store={store}
                  label={`Feedback for ${zone.label || zone.id}`}
                  value={entryOf(question, zone.id)?.says?.zone ?? null}
                  onChange={(say) =>
                    act(
                      setEntry(now(), zone.id, {
                        says: { items: entryOf(now(), zone.id)?.says?.items ?? {}, zone: say },
                      }),
                    )
                  }
                />
              </div>
            ))}
            {zones.length === 0 && (
              <p className="text-mute mb-1">
                Select a zone for what is said of it as a whole; press a cell for one item in one zone.
              </p>
            )}
            <SaysGrid store={store} />
          </Section>
          <Section
            title="Hints"
            note={question.hints.length > 0 ? String(question.hints.length) : ''}
            open={question.hints.length > 0}
          >
            <Hints store={store} />
          </Section>
        </div>
        <div>
          <Section title="Marks">
            <Marks store={store} />
          </Section>
          <Section title="What learners see" open={false}>
            <Choice
              label="Model answer"
              options={[
                ['never', 'never'],
                ['atTheEnd', 'after the last try'],
                ['always', 'after every check'],
              ]}
              value={show.modelAnswer}
              onChoose={(modelAnswer) => act(setQuestion(now(), 'show', { ...now().show, modelAnswer }))}
            />
            {(
              [
                ['count', 'how many are placed'],
                ['mark', 'the mark'],
                ['runningTotal', 'the sum of values while they place'],
                ['nextOnlyAfterCheck', 'Next only after a check'],
              ] as const
            ).map(([field, words]) => (
              <label key={field} className="flex items-center gap-2 py-0.5">
                <input
                  type="checkbox"
                  className="checkbox checkbox-xs"
                  checked={show[field]}
                  onChange={(event) =>
                    act(setQuestion(now(), 'show', { ...now().show, [field]: event.target.checked }))
                  }
                />
                {words}
              </label>
            ))}
            <p className="text-mute mt-2">Aids they may use</p>
            <AidChoices
              aids={show.aids}
              onChange={(aids) => act(setQuestion(now(), 'show', { ...now().show, aids }))}
            />
          </Section>
          <Section title="Words on the buttons" open={false}>
            {(
              [
                ['check', 'Check'],
                ['reset', 'Put everything back'],
                ['hint', 'Hint'],
                ['next', 'Next'],
              ] as const
            ).map(([button, ours]) => (
              <Setting key={button} label={ours.length > 12 ? 'Put back' : ours}>
                <Typed
                  label={`Words on the button: ${ours}`}
                  className="input input-sm w-44"
                  value={question.buttons[button] ?? ''}
                  problem={(text) => (text.length > 60 ? 'At most 60 characters' : null)}
                  onTyped={(text) =>
                    act(setQuestion(now(), 'buttons', { ...now().buttons, [button]: text.trim() || null }))
                  }
                />
                <span className="text-sm text-mute">empty: {ours}</span>
              </Setting>
            ))}
          </Section>
        </div>
      </div>
    </>
  );
}

const entryOf = (question: Question, zone: string): KeyEntry | undefined =>
  question.key.find((entry) => entry.zone === zone);

/** One hint for each try after the first, in their order; the last stays. */
function Hints({ store }: { store: BenchStore }) {
  const hints = store((s) => s.question.hints);
  const set = (next: Question['hints']) => store.getState().do(setQuestion(store.getState().question, 'hints', next));
  return (
    <>
      {hints.map((hint, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a hint is its place in their order
        <div key={i} className="mb-2">
          <p className="text-mute flex items-center">
            <span className="grow">Hint {i + 1}</span>
            <button
              type="button"
              className="bench-tool"
              aria-label={`Take hint ${i + 1} away`}
              onClick={() => set(hints.filter((_, j) => j !== i))}
            >
              <Trash2 size={14} aria-hidden />
            </button>
          </p>
          <SayField
            store={store}
            label={`Hint ${i + 1}`}
            value={hint}
            onChange={(say) =>
              set(hints.map((hint, j) => (i === j ? (say ?? { text: null, picture: null, sound: null }) : hint)))
            }
          />
        </div>
      ))}
      {hints.length < MAX_HINTS && (
        <button
          type="button"
          className="btn btn-quiet btn-xs"
          onClick={() => set([...hints, { text: null, picture: null, sound: null }])}
        >
          <Plus size={13} aria-hidden /> Add a hint
        </button>
      )}
    </>
  );
}
