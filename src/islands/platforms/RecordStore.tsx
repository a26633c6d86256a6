import { useState } from 'react';
import { type RecordStoreView, recordStoreGiven, type Wire } from '../../contract';
import { api, Field } from '../../ui';
import { Confirm } from '../../ui/Confirm';
import { failureInWords } from '../../ui/failureInWords';
import { useRequestForm } from '../../ui/form';
import { moment } from '../../ui/when';

type View = Wire<RecordStoreView>;

/** Where statements are sent, for an administrator: how that goes, and another store. */
export function RecordStore({ view: given, demo }: { view: View; demo: boolean }) {
  const [view, setView] = useState(given);
  const [said, setSaid] = useState('');
  const [asking, setAsking] = useState<'all' | 'remove' | null>(null);
  const { store, waiting, failed } = view;
  const taken = (next: View, words: string) => {
    setView(next);
    setSaid(words);
  };
  const again = async (all: boolean) => {
    const answer = await api('POST /api/record-store/again', { body: { all } });
    setAsking(null);
    if (answer.ok) taken(answer.value, all ? 'Everything is on its way.' : 'It is tried again.');
    else setSaid(failureInWords(answer.error));
  };
  const remove = async () => {
    const answer = await api('DELETE /api/record-store', {});
    setAsking(null);
    if (answer.ok) taken(answer.value, 'Statements are sent nowhere any more.');
    else setSaid(failureInWords(answer.error));
  };
  const look = async () => {
    const answer = await api('GET /api/record-store', {});
    if (answer.ok) taken(answer.value, '');
    else setSaid(failureInWords(answer.error));
  };
  return (
    <>
      <section>
        <h2 className="text-xl mb-2">How it goes</h2>
        {store === null ? (
          <p className="text-mute">No store is named: statements are sent nowhere.</p>
        ) : (
          <>
            <p className="figures break-all">{store.address}</p>
            <p className="mb-2">
              {store.names ? 'With' : 'Without'} the names of learners.{' '}
              {new Date(store.since).getTime() > 0
                ? `What came about since ${moment(new Date(store.since))}.`
                : 'Everything.'}
            </p>
            <dl className="grid w-fit grid-cols-[auto_auto] gap-x-4">
              {(
                [
                  ['Waits', waiting],
                  ['Could not be sent', failed],
                  ['Has arrived', view.arrived],
                ] as const
              ).map(([word, n]) => (
                <div key={word} className="contents">
                  <dt>{word}</dt>
                  <dd className="figures text-end">{n}</dd>
                </div>
              ))}
            </dl>
            <p className="text-mute text-sm mt-1">Counted: each learner at each release.</p>
            {view.reason !== '' && <p className="mt-2 text-brick">{view.reason}</p>}
            <div className="mt-3 flex flex-wrap gap-2">
              <button type="button" className="btn btn-edge btn-sm" onClick={() => void look()}>
                Look again
              </button>
              {waiting + failed > 0 && (
                <button type="button" className="btn btn-edge btn-sm" onClick={() => void again(false)}>
                  Try again now
                </button>
              )}
              <button type="button" className="btn btn-edge btn-sm" onClick={() => setAsking('all')}>
                Send all…
              </button>
              <button type="button" className="btn btn-edge btn-sm" onClick={() => setAsking('remove')}>
                Send nothing any more…
              </button>
            </div>
          </>
        )}
        <p role="status" className="mt-2">
          {said}
        </p>
      </section>
      <NameStore view={view} demo={demo} onNamed={(next) => taken(next, 'From now on statements are sent there.')} />
      {asking === 'all' && (
        <Confirm title="Send all?" action="Send all" onConfirm={() => void again(true)} onClose={() => setAsking(null)}>
          <p>All attempts of all courses are sent, also those from before this store was named.</p>
        </Confirm>
      )}
      {asking === 'remove' && (
        <Confirm
          title="Send nothing any more?"
          action="Send nothing"
          onConfirm={() => void remove()}
          onClose={() => setAsking(null)}
        >
          <p>The store is forgotten with its key and secret, and with what waits. What has arrived stays there.</p>
        </Confirm>
      )}
    </>
  );
}

function NameStore({ view, demo, onNamed }: { view: View; demo: boolean; onNamed: (next: View) => void }) {
  const { store } = view;
  const { register, handleSubmit, formState, refused, resetField } = useRequestForm(recordStoreGiven, {
    ...{ address: store?.address ?? '', key: store?.key ?? '', secret: '', names: store?.names ?? false },
  });
  const { errors } = formState;
  return (
    <form
      noValidate
      className="mt-8"
      onSubmit={handleSubmit(async (body) => {
        const answer = await api('PUT /api/record-store', { body });
        if (!answer.ok) return refused(answer.error);
        resetField('secret', { defaultValue: '' });
        onNamed(answer.value);
      })}
    >
      <h2 className="text-xl mb-2">{store ? 'Change it' : 'Name a store'}</h2>
      {demo && (
        <p className="text-mute mb-3 max-w-prose">
          A stand-in is at{' '}
          <a className="link-brass" href="/stand-in/record-store">
            /stand-in/record-store
          </a>
          : its page says its key and its secret.
        </p>
      )}
      <div className="grid gap-4 sm:grid-cols-2">
        <Field
          label="Address"
          hint="Of its resources, without “statements” at the end."
          problem={errors.address?.message}
          {...register('address')}
        />
        <Field label="Key" problem={errors.key?.message} {...register('key')} />
        <Field
          label="Secret"
          type="password"
          autoComplete="off"
          hint={store ? 'Empty: the one that is stored. It is never shown again.' : 'It is never shown again.'}
          problem={errors.secret?.message}
          {...register('secret')}
        />
      </div>
      <label className="mt-3 flex items-center gap-2">
        <input type="checkbox" className="checkbox checkbox-sm" {...register('names')} /> Send the names of learners too
      </label>
      {errors.root && (
        <p role="alert" className="text-brick mt-2">
          {errors.root.message}
        </p>
      )}
      <button type="submit" className="btn btn-primary mt-4" disabled={formState.isSubmitting}>
        {store ? 'Change it' : 'Send statements there'}
      </button>
    </form>
  );
}
