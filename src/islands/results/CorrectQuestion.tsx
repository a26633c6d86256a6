import { useState } from 'react';
import type { CorrectionView, QuestionChange, Wire } from '../../contract';
import type { Question } from '../../core';
import { changesInWords } from '../shared/changesInWords';

const nameIn = (list: readonly { id: string; label: string }[], id: string) =>
  list.find((candidate) => candidate.id === id)?.label || id;

export type CorrectedQuestion = Wire<CorrectionView>['questions'][number];
export type Change = Omit<QuestionChange, 'question'>;

interface Props {
  number: number;
  question: CorrectedQuestion;
  change: Change;
  /** A spelling to begin with, that came from the results. */
  spelling: { readonly zone: string; readonly text: string } | null;
  onSet: (to: Partial<Change>) => void;
}

/** What can be corrected of one question: struck, taken from the Vault, its key widened, a spelling accepted. */
export function CorrectQuestion({
  number,
  question: { title, points, document, vault },
  change,
  spelling,
  onSet,
}: Props) {
  const [item, setItem] = useState('');
  const [zone, setZone] = useState('');
  const name = title || 'Untitled question';
  return (
    <>
      <p className="flex items-baseline gap-2">
        <span className="figures text-mute">{number}</span>
        <span className={`font-semibold grow ${change.strike ? 'line-through' : ''}`}>{name}</span>
        <span className="figures text-sm text-mute">{points} points</span>
      </p>
      <div className="flex flex-wrap gap-x-6 gap-y-1 mt-1 ps-5">
        <label className="flex items-center gap-2">
          <input
            type="checkbox"
            className="checkbox checkbox-sm"
            checked={change.strike}
            onChange={(event) => onSet({ strike: event.target.checked })}
            aria-label={`Strike ${name}`}
          />
          Strike it
        </label>
        {vault && (
          <label className="flex items-center gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={change.fromVault}
              disabled={!vault.fits}
              onChange={(event) => onSet({ fromVault: event.target.checked })}
              aria-label={`Take ${name} as it is in the Vault`}
            />
            As it is in the Vault now
          </label>
        )}
      </div>
      {vault && (
        <p className="text-sm text-mute ps-5">
          {vault.fits
            ? 'Changed there: '
            : 'In the Vault items, zones or how they take were changed, so moves that were made cannot be judged by it: '}
          {changesInWords(document, vault.document, [...vault.step])
            .slice(0, 4)
            .join('; ')}
        </p>
      )}
      <div className="flex flex-wrap items-end gap-2 ps-5 mt-1">
        <span className="pb-1.5">Also right:</span>
        <select
          className="select select-sm w-40"
          aria-label={`Item of ${name} that is right too`}
          value={item}
          onChange={(event) => setItem(event.target.value)}
        >
          <option value="">an item…</option>
          {document.items.map(({ id, label }) => (
            <option key={id} value={id}>
              {label || id}
            </option>
          ))}
        </select>
        <span className="pb-1.5">in</span>
        <select
          className="select select-sm w-40"
          aria-label={`Zone of ${name} it is right in`}
          value={zone}
          onChange={(event) => setZone(event.target.value)}
        >
          <option value="">a zone…</option>
          {document.zones.map(({ id, label }) => (
            <option key={id} value={id}>
              {label || id}
            </option>
          ))}
        </select>
        <button
          type="button"
          className="btn btn-edge btn-sm"
          disabled={item === '' || zone === ''}
          onClick={() => {
            onSet({
              accept: [
                ...change.accept.filter((candidate) => candidate.item !== item || candidate.zone !== zone),
                { item, zone },
              ],
            });
            setItem('');
            setZone('');
          }}
        >
          Widen the key
        </button>
      </div>
      {document.zones.some(({ typed }) => typed) && (
        <AcceptSpelling
          name={name}
          document={document}
          begin={spelling}
          onAccept={(accepted) => onSet({ spellings: [...(change.spellings ?? []), accepted] })}
        />
      )}
      {(change.spellings ?? []).map((one) => (
        <p key={`${one.zone} ${one.text}`} className="ps-5">
          “<bdi>{one.text}</bdi>” in {nameIn(document.zones, one.zone)} is read as {nameIn(document.items, one.item)}{' '}
          too{' '}
          <button
            type="button"
            className="link-brass cursor-pointer"
            onClick={() => onSet({ spellings: (change.spellings ?? []).filter((other) => other !== one) })}
          >
            Not so
          </button>
        </p>
      ))}
      {change.accept.map((one) => (
        <p key={`${one.item} ${one.zone}`} className="ps-5">
          {nameIn(document.items, one.item)} is right in {nameIn(document.zones, one.zone)} too{' '}
          <button
            type="button"
            className="link-brass cursor-pointer"
            onClick={() => onSet({ accept: change.accept.filter((other) => other !== one) })}
          >
            Not so
          </button>
        </p>
      ))}
    </>
  );
}

interface SpellingProps {
  name: string;
  document: Question;
  begin: { readonly zone: string; readonly text: string } | null;
  onAccept: (accepted: { item: string; zone: string; text: string }) => void;
}

/** One more spelling that counts as an item where words are typed. */
function AcceptSpelling({ name, document, begin, onAccept }: SpellingProps) {
  const gaps = document.zones.filter(({ typed }) => typed);
  const belongsIn = (zone: string) => document.key.find((entry) => entry.zone === zone)?.belongs?.[0] ?? '';
  const [zone, setZone] = useState<string>(begin?.zone ?? gaps[0]?.id ?? '');
  const [text, setText] = useState(begin?.text ?? '');
  const [item, setItem] = useState<string>(belongsIn(zone));
  return (
    <form
      className="flex flex-wrap items-end gap-2 ps-5 mt-1"
      onSubmit={(event) => {
        event.preventDefault();
        onAccept({ zone, item, text: text.trim() });
        setText('');
      }}
    >
      <span className="pb-1.5">Typed</span>
      <input
        className="input input-sm w-40"
        aria-label={`Spelling to accept in ${name}`}
        maxLength={200}
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <span className="pb-1.5">in</span>
      <select
        className="select select-sm w-32"
        aria-label={`Gap of ${name} it is typed into`}
        value={zone}
        onChange={(event) => {
          setZone(event.target.value);
          setItem(belongsIn(event.target.value));
        }}
      >
        {gaps.map(({ id, label }) => (
          <option key={id} value={id}>
            {label || id}
          </option>
        ))}
      </select>
      <span className="pb-1.5">is read as</span>
      <select
        className="select select-sm w-40"
        aria-label={`What it is read as in ${name}`}
        value={item}
        onChange={(event) => setItem(event.target.value)}
      >
        {document.items.map(({ id, label }) => (
          <option key={id} value={id}>
            {label || id}
          </option>
        ))}
      </select>
      <button type="submit" className="btn btn-edge btn-sm" disabled={text.trim() === '' || item === ''}>
        Accept the spelling
      </button>
    </form>
  );
}
