import { useEffect, useState } from 'react';
import type { MediaUsage as Usage } from '../../contract';
import { api } from '../../ui/api';

const size = (bytes: number) =>
  bytes < 1024 * 1024
    ? `${Math.ceil(bytes / 1024)} KB`
    : bytes < 1024 ** 3
      ? `${Math.round(bytes / 1024 / 1024)} MB`
      : `${(bytes / 1024 ** 3).toFixed(1)} GB`;

/** The size of a teacher's media, and a button that deletes unused files. */
export function MediaUsage() {
  const [usage, setUsage] = useState<Usage | null>(null);
  const [asking, setAsking] = useState(false);
  const [said, setSaid] = useState('');
  const ask = async (method: 'GET' | 'DELETE') => {
    const answer = await api(`${method} /api/media/usage`);
    if (!answer.ok) return setSaid(`${answer.error.message}. ${answer.error.nextStep}`);
    if (method === 'DELETE' && usage) setSaid(`${size(usage.used - answer.value.used)} cleared.`);
    setUsage(answer.value);
    setAsking(false);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: once
  useEffect(() => void ask('GET'), []);
  if (!usage) return <p role="status">{said || 'Adding up…'}</p>;
  const { used, quota, unused } = usage;
  return (
    <div className="max-w-xl">
      <p>
        <span className="figures">{size(used)}</span> of {size(quota)}
      </p>
      <progress className="progress w-full" value={used} max={quota} aria-label="Media" />
      {unused.files > 0 && (
        <p className="mt-2">
          {unused.files === 1 ? 'One file' : `${unused.files} files`} of {size(unused.bytes)} stand in no question, set,
          list or release of yours.{' '}
          {asking ? (
            <>
              They are deleted for good.{' '}
              <button type="button" className="btn btn-primary btn-sm" onClick={() => void ask('DELETE')}>
                Delete them
              </button>{' '}
              <button type="button" className="btn btn-quiet btn-sm" onClick={() => setAsking(false)}>
                Cancel
              </button>
            </>
          ) : (
            <button type="button" className="btn btn-edge btn-sm" onClick={() => setAsking(true)}>
              Delete unused files…
            </button>
          )}
        </p>
      )}
      <p role="status">{said}</p>
    </div>
  );
}
