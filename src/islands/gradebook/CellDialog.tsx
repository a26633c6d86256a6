import { useState } from 'react';
import { markByHand } from '../../contract';
import { Dialog, Field } from '../../ui';
import { useRequestForm } from '../../ui/form';
import { numberTyped } from '../../ui/numbers';
import { cellInWords } from './inWords';
import { type Cell, type Change, type Release, type Row, useSendAgain } from './useGrades';

interface Props {
  row: Row;
  release: Release;
  cell: Cell;
  onClose: () => void;
  onChange: (after: Change, before: Change) => void;
}

/** A learner's mark of a release: what it came from, a mark by hand, excused, a note. */
export function CellDialog({ row, release, cell, onClose, onChange }: Props) {
  return (
    <Dialog title={`${row.name}: ${release.title}`} onClose={onClose}>
      <p className="mb-4">
        Now: {cellInWords(cell)}.{' '}
        {cell.attempt && (
          <a className="link-brass" href={`/releases/${release.id}/sittings/${cell.attempt}`}>
            Look at the attempt
          </a>
        )}
      </p>
      <Delivery row={row} release={release} cell={cell} />
      <ByHand cell={cell} onChange={onChange} />
      <Remark cell={cell} onChange={onChange} />
      <div className="flex justify-end mt-4">
        <button type="button" className="btn btn-quiet" onClick={onClose}>
          Close
        </button>
      </div>
    </Dialog>
  );
}

/** Where the mark is on its way to the course's platform. */
function Delivery({ row, release, cell }: Pick<Props, 'row' | 'release' | 'cell'>) {
  const sendAgain = useSendAgain();
  const { sending } = cell;
  if (release.scores === 'refused')
    return <p className="mb-4">The platform takes no marks for this release, so that none is sent.</p>;
  if (release.scores !== 'sent') return null;
  return (
    <div className="flex flex-wrap items-center gap-3 mb-4" role="status">
      <p className="grow">
        {sending === null ? (
          'The platform has what it should have.'
        ) : (
          <>
            {sending.state === 'failed'
              ? 'The platform does not have this mark.'
              : 'This mark is on its way to the platform.'}{' '}
            {sending.reason} {sending.tries > 1 && `${sending.tries} tries.`}
          </>
        )}
      </p>
      <button type="button" className="btn btn-edge" onClick={() => void sendAgain(release.id, row.learnerId)}>
        Send again
      </button>
    </div>
  );
}

function ByHand({ cell, onChange }: Pick<Props, 'cell' | 'onChange'>) {
  const { register, handleSubmit, watch, formState } = useRequestForm(markByHand, {
    ...(cell.points === null ? {} : { points: cell.points }),
    reason: cell.byHand ?? '',
    above: false,
  });
  const { errors } = formState;
  const points = watch('points');
  const isAbove = points > cell.outOf;
  const before = {
    mark: cell.byHand === null ? null : { points: cell.points ?? 0, reason: cell.byHand, above: true },
  };
  return (
    <form
      noValidate
      onSubmit={handleSubmit((mark) =>
        onChange({ mark: { ...mark, reason: mark.reason.trim(), above: isAbove && mark.above } }, before),
      )}
    >
      <h3 className="font-semibold mb-1">A mark by hand</h3>
      <p className="text-mute mb-3">
        It stays, whatever the attempts earn, until you remove it. Who set it, when and why is recorded.
      </p>
      <div className="grid sm:grid-cols-2 gap-4">
        <Field
          label={`Points (of ${cell.outOf})`}
          inputMode="decimal"
          problem={errors.points?.message}
          data-autofocus
          {...register('points', { setValueAs: numberTyped })}
        />
        <Field label="Why" problem={errors.reason?.message} {...register('reason')} />
      </div>
      {isAbove && (
        <label className="flex items-center gap-2 mt-3">
          <input type="checkbox" className="checkbox checkbox-sm" {...register('above')} />
          {points} is more than the {cell.outOf} that can be earned. Set it anyway.
        </label>
      )}
      <div className="flex flex-wrap justify-end gap-2 mt-4">
        {cell.byHand !== null && (
          <button type="button" className="btn btn-edge" onClick={() => onChange({ mark: null }, before)}>
            Remove it
          </button>
        )}
        <button type="submit" className="btn btn-primary" disabled={isAbove && !watch('above')}>
          Set it
        </button>
      </div>
    </form>
  );
}

function Remark({ cell, onChange }: Pick<Props, 'cell' | 'onChange'>) {
  const before = { excused: cell.state === 'excused', note: cell.note };
  const [said, setSaid] = useState(before);
  return (
    <form
      className="border-t border-rule mt-4 pt-4"
      onSubmit={(event) => {
        event.preventDefault();
        onChange(said, before);
      }}
    >
      <label className="flex items-center gap-2 mb-3">
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          checked={said.excused}
          onChange={(event) => setSaid({ ...said, excused: event.target.checked })}
        />
        Excused: it does not count, and is not missing
      </label>
      <Field
        label="Note"
        hint="For the teachers of the course. It is part of what is held about the learner."
        maxLength={1000}
        value={said.note}
        onChange={(event) => setSaid({ ...said, note: event.target.value })}
      />
      <div className="flex justify-end mt-4">
        <button
          type="submit"
          className="btn btn-edge"
          disabled={said.excused === before.excused && said.note.trim() === before.note}
        >
          Keep this
        </button>
      </div>
    </form>
  );
}
