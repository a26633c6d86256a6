import { AIDS, type Aid } from '../../core';

const AID_WORDS: Readonly<Record<Aid, string>> = {
  calculator: 'a calculator',
  readAloud: 'reading aloud, by a voice of their own machine',
};

/** Which aids learners may use. */
export function AidChoices({ aids, onChange }: { aids: readonly Aid[]; onChange: (aids: Aid[]) => void }) {
  return AIDS.map((aid) => (
    <label key={aid} className="flex items-center gap-2 py-0.5">
      <input
        type="checkbox"
        className="checkbox checkbox-xs"
        checked={aids.includes(aid)}
        onChange={(event) => {
          const others = aids.filter((other) => other !== aid);
          onChange(event.target.checked ? [...others, aid] : others);
        }}
      />
      {AID_WORDS[aid]}
    </label>
  ));
}
