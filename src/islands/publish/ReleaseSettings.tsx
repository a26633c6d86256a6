import { useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { Toaster, toast } from 'sonner';
import type { AllowanceRow, SettingsView, Wire } from '../../contract';
import { MAX_MINUTES, MAX_SITTINGS } from '../../contract/limits';
import { api, ask, Dialog, Field, moment, typedTime } from '../../ui';
import { Confirm } from '../../ui/Confirm';
import { failureInWords } from '../../ui/failureInWords';
import { Queries } from '../../ui/Queries';
import { useSaving } from '../../ui/saving';
import { useUnsaved } from '../../ui/useUnsaved';
import type { Learner } from '../courses/course';
import { Copies } from './Copies';
import { ReleaseFields } from './ReleaseFields';
import { asTyped, drafted, momentIn, sent, wrongIn } from './settings';

type Allowance = Wire<AllowanceRow>;
export type View = Wire<SettingsView>;

const LABELS: Readonly<Record<string, string>> = {
  title: 'Title',
  unitId: 'Unit',
  opensAt: 'Opens',
  dueAt: 'Due',
  closesAt: 'Closes',
  minutes: 'Minutes',
  sittings: 'Attempts',
  counts: 'Which attempt counts',
  practice: 'Practice',
  categoryId: 'Category',
  passMark: 'Pass mark',
  feedbackLevel: 'Feedback',
  feedbackTime: 'When they see it',
  audience: 'For whom',
};
const inWordsOf = (value: unknown): string =>
  value === null || value === undefined
    ? 'none'
    : typeof value === 'string' && /^\d{4}-\d\d-\d\dT/.test(value)
      ? moment(new Date(value))
      : typeof value === 'object'
        ? 'some learners'
        : typeof value === 'boolean'
          ? value
            ? 'yes'
            : 'no'
          : String(value);

export function ReleaseSettings({ id, view }: { id: string; view: View }) {
  return (
    <Queries>
      <Settings id={id} view={view} />
      <Toaster position="bottom-right" />
    </Queries>
  );
}

/** The settings of a published release, and the allowances of single learners. */
function Settings({ id, view: given }: { id: string; view: View }) {
  const [view, setView] = useState(given);
  const [draft, setDraft] = useState(drafted(given.settings));
  const changed = JSON.stringify(sent(draft)) !== JSON.stringify(sent(drafted(view.settings)));
  const { save, problem, dialog } = useSaving<View['settings']>({
    first: { revision: given.revision, content: given.settings },
    write: async (settings, from) => {
      const answer = await api('PUT /api/releases/{id}/settings', { id, body: { ...settings, from } });
      if (!answer.ok) return answer;
      setView(answer.value);
      return { ok: true, value: { revision: answer.value.revision, content: answer.value.settings } };
    },
    inWords: ({ path: [field = ''], mine, theirs }) => ({
      where: LABELS[field] ?? field,
      mine: inWordsOf(mine),
      theirs: inWordsOf(theirs),
    }),
  });
  const [closing, setClosing] = useState(false);
  const closesNow =
    draft.closesAt !== '' &&
    typedTime(draft.closesAt) <= new Date() &&
    sent(draft).closesAt !== sent(drafted(view.settings)).closesAt;
  const keep = async () => {
    setClosing(false);
    const saved = await save({ title: view.settings.title, ...sent(draft) });
    if (!saved) return;
    setDraft(drafted(saved));
    setView((now) => ({ ...now, settings: saved }));
    toast('Saved');
  };
  useUnsaved(changed);
  return (
    <div className="grid gap-10 lg:grid-cols-[3fr_2fr]">
      <section aria-label="How it runs">
        <Field
          label="Title"
          maxLength={200}
          value={draft.title}
          onChange={(event) => setDraft({ ...draft, title: event.target.value })}
        />
        <ReleaseFields courseId={view.courseId} draft={draft} onChange={setDraft} published unfolded />
        {problem && (
          <p role="alert" className="text-brick mt-3">
            {problem}
          </p>
        )}
        <div className="flex items-center gap-3 mt-4">
          <button
            type="button"
            className="btn btn-primary"
            disabled={!changed || draft.title.trim() === '' || Object.keys(wrongIn(draft)).length > 0}
            onClick={() => (closesNow ? setClosing(true) : void keep())}
          >
            Save
          </button>
          <button
            type="button"
            className="btn btn-quiet"
            disabled={!changed}
            onClick={() => setDraft(drafted(view.settings))}
          >
            As it was
          </button>
          {changed && <p className="text-mute">Not saved yet.</p>}
        </div>
      </section>
      <div>
        <Allowances id={id} view={view} onChange={setView} />
        <Copies id={id} courseId={view.courseId} />
        <Withdrawal id={id} view={view} onChange={setView} />
      </div>
      {dialog}
      {closing && (
        <Confirm
          title="Close it now?"
          action="Save, and close it"
          onConfirm={() => void keep()}
          onClose={() => setClosing(false)}
        >
          <p>
            {moment(typedTime(draft.closesAt))} has passed. The release closes at once: attempts that are running end,
            and what is placed is checked once more.
          </p>
        </Confirm>
      )}
    </div>
  );
}

interface PartProps {
  id: string;
  view: View;
  onChange: (view: View) => void;
}

/** Out of the learners' sight, and back. */
function Withdrawal({ id, view, onChange }: PartProps) {
  const [asked, setAsked] = useState(false);
  const withdrawn = view.withdrawnAt !== null;
  const set = async (to: boolean) => {
    setAsked(false);
    const answer = await api('PUT /api/releases/{id}/withdrawn', { id, body: { withdrawn: to } });
    if (!answer.ok) return void toast.error(`${answer.error.message}. ${answer.error.nextStep}`);
    onChange(answer.value);
    toast(to ? 'It is withdrawn' : 'It is back');
  };
  return (
    <section aria-labelledby="withdrawal" className="mt-8">
      <h2 id="withdrawal" className="text-xl">
        {withdrawn ? 'Withdrawn' : 'Withdraw it'}
      </h2>
      <p className="text-mute mb-2">
        A withdrawn release is seen by no learner, and does not count in the gradebook. All work is kept, and comes back
        with it.
      </p>
      <button type="button" className="btn btn-edge" onClick={() => (withdrawn ? void set(false) : setAsked(true))}>
        {withdrawn ? 'Bring it back' : 'Withdraw it…'}
      </button>
      {asked && (
        <Confirm
          title="Withdraw the release?"
          action="Withdraw it"
          onConfirm={() => void set(true)}
          onClose={() => setAsked(false)}
        >
          <p>
            Learners do not see it from now on. Whoever is answering it cannot go on until you bring it back; what they
            have done is kept.
          </p>
        </Confirm>
      )}
    </section>
  );
}

function Allowances({ id, view, onChange }: PartProps) {
  const [editing, setEditing] = useState<Allowance | null>(null);
  const [choosing, setChoosing] = useState(false);
  const put = async (learnerId: string, allowed: Omit<Allowance, 'learnerId' | 'name'> | null) => {
    const answer = await api('PUT /api/releases/{id}/allowances', { id, body: { learnerId, allowed } });
    if (!answer.ok) return void toast.error(failureInWords(answer.error));
    onChange(answer.value);
    setEditing(null);
  };
  return (
    <section aria-labelledby="allowances">
      <h2 id="allowances" className="text-xl">
        For single learners
      </h2>
      <p className="text-mute mb-2">More time, more sittings or another date than the others have.</p>
      {view.allowances.length === 0 && <p>Nobody yet.</p>}
      <ul>
        {view.allowances.map((allowance) => (
          <li key={allowance.learnerId} className="flex items-center gap-2 border-b border-rule py-1.5">
            <span className="grow">
              <span className="font-semibold">{allowance.name}</span>{' '}
              <span className="text-mute">{inWords(allowance)}</span>
            </span>
            <button
              type="button"
              className="btn btn-quiet btn-sm"
              aria-label={`Change it for ${allowance.name}`}
              onClick={() => setEditing(allowance)}
            >
              Change
            </button>
            <button
              type="button"
              className="btn btn-quiet btn-sm"
              aria-label={`As for all for ${allowance.name}`}
              onClick={() => void put(allowance.learnerId, null)}
            >
              As for all
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="btn btn-edge mt-3" onClick={() => setChoosing(true)}>
        Allow a learner more…
      </button>
      {choosing && (
        <ChooseLearner
          courseId={view.courseId}
          onClose={() => setChoosing(false)}
          onChosen={({ id: learnerId, name }) => {
            setChoosing(false);
            setEditing(
              view.allowances.find((allowance) => allowance.learnerId === learnerId) ?? {
                learnerId,
                name,
                moreMinutes: 0,
                moreSittings: 0,
                dueAt: null,
                closesAt: null,
              },
            );
          }}
        />
      )}
      {editing && (
        <AllowanceDialog
          of={editing}
          timed={view.settings.minutes !== null}
          onClose={() => setEditing(null)}
          onKeep={(allowed) => void put(editing.learnerId, allowed)}
        />
      )}
    </section>
  );
}

const inWords = ({ moreMinutes, moreSittings, dueAt, closesAt }: Allowance) =>
  [
    moreMinutes > 0 && `${moreMinutes} min more`,
    moreSittings > 0 && `${moreSittings} more ${moreSittings === 1 ? 'sitting' : 'sittings'}`,
    dueAt && `due ${moment(new Date(dueAt))}`,
    closesAt && `closes ${moment(new Date(closesAt))}`,
  ]
    .filter(Boolean)
    .join(', ') || 'as for all';

function ChooseLearner({
  courseId,
  onClose,
  onChosen,
}: {
  courseId: string;
  onClose: () => void;
  onChosen: (learner: Learner) => void;
}) {
  const [typed, setTyped] = useState('');
  const words = useDeferredValue(typed.trim());
  const found = useQuery({
    queryKey: ['roster', courseId, words],
    queryFn: () => ask('GET /api/courses/{id}/learners', { id: courseId, query: { words } }),
  });
  return (
    <Dialog title="Which learner?" onClose={onClose}>
      <Field label="Find by name" type="search" value={typed} onChange={(event) => setTyped(event.target.value)} />
      <ul className="max-h-64 overflow-auto mt-2">
        {found.data?.rows.map((learner) => (
          <li key={learner.id} className="border-b border-rule">
            <button type="button" className="btn btn-quiet w-full justify-start" onClick={() => onChosen(learner)}>
              {learner.name}
            </button>
          </li>
        ))}
      </ul>
      <div className="flex justify-end mt-3">
        <button type="button" className="btn btn-quiet" onClick={onClose}>
          Cancel
        </button>
      </div>
    </Dialog>
  );
}

interface AllowanceProps {
  of: Allowance;
  timed: boolean;
  onClose: () => void;
  onKeep: (allowed: Omit<Allowance, 'learnerId' | 'name'>) => void;
}

function AllowanceDialog({ of, timed, onClose, onKeep }: AllowanceProps) {
  const [minutes, setMinutes] = useState(String(of.moreMinutes));
  const [sittings, setSittings] = useState(String(of.moreSittings));
  const [due, setDue] = useState(asTyped(of.dueAt));
  const [closes, setCloses] = useState(asTyped(of.closesAt));
  const whole = (text: string, most: number) => /^\d+$/.test(text) && Number(text) <= most;
  return (
    <Confirm
      title={`For ${of.name}`}
      action="Allow it"
      onConfirm={() =>
        onKeep({
          moreMinutes: Number(minutes),
          moreSittings: Number(sittings),
          dueAt: momentIn(due),
          closesAt: momentIn(closes),
        })
      }
      onClose={onClose}
      disabled={!whole(minutes, MAX_MINUTES) || !whole(sittings, MAX_SITTINGS)}
    >
      <div className="grid sm:grid-cols-2 gap-4">
        {timed && (
          <Field
            label="More minutes"
            type="number"
            min={0}
            value={minutes}
            onChange={(event) => setMinutes(event.target.value)}
          />
        )}
        <Field
          label="More sittings"
          type="number"
          min={0}
          value={sittings}
          onChange={(event) => setSittings(event.target.value)}
        />
        <Field
          label="Due"
          type="datetime-local"
          hint="Empty: as for all."
          value={due}
          onChange={(event) => setDue(event.target.value)}
        />
        <Field
          label="Closes"
          type="datetime-local"
          hint="Empty: as for all."
          value={closes}
          onChange={(event) => setCloses(event.target.value)}
        />
      </div>
    </Confirm>
  );
}
