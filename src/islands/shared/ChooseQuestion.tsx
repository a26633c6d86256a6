import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { Field } from '../../ui';
import { Alert } from '../../ui/Alert';
import { ask } from '../../ui/api';
import { Dialog } from '../../ui/Dialog';
import { SmallPicture } from './SmallPicture';

interface Props {
  title: string;
  says: string;
  /** A question that is not offered. */
  without?: string;
  onChoose: (id: string) => void;
  onClose: () => void;
}

const MOST = 12;

/** A question of the Vault is chosen: by its picture, and by words sought. */
export function ChooseQuestion({ title, says, without, onChoose, onClose }: Props) {
  const [words, setWords] = useState('');
  const found = useQuery({
    queryKey: ['vault', 'choose', words],
    queryFn: () => ask('GET /api/questions', { query: words.trim() ? { words } : {} }),
    placeholderData: (before) => before,
  });
  const rows = (found.data?.rows ?? []).filter(({ id }) => id !== without).slice(0, MOST);
  return (
    <Dialog title={title} onClose={onClose} wide>
      <p className="text-mute mb-2">{says}</p>
      <Field
        label="Find in titles and words"
        type="search"
        value={words}
        maxLength={200}
        data-autofocus
        onChange={(event) => setWords(event.target.value)}
      />
      {found.error && <Alert tone="problem">{found.error.message}</Alert>}
      {found.data && rows.length === 0 && <p className="py-4 text-mute">No question is like that.</p>}
      <ul className="grid grid-cols-3 gap-3 mt-3 max-h-[52vh] overflow-auto">
        {rows.map(({ id, title: name, changedAt }) => (
          <li key={id}>
            <button
              type="button"
              className="w-full h-full text-start border border-rule hover:border-ink bg-paper p-1.5 cursor-pointer"
              onClick={() => onChoose(id)}
            >
              <SmallPicture id={id} changedAt={changedAt} size={{ w: 190, h: 112 }} />
              <span className="block mt-1 truncate font-semibold">{name}</span>
            </button>
          </li>
        ))}
      </ul>
    </Dialog>
  );
}
