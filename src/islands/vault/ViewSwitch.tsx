import { LayoutGrid, Rows3 } from 'lucide-react';
import { useEffect, useState } from 'react';
import * as browser from '../../ui/browserStore';

type View = 'list' | 'cards';

/** How questions are seen, remembered in this browser. */
export function useView(): [View, (view: View) => void] {
  const [view, setView] = useState<View>('list');
  // The page comes from the server as a list: what is remembered here is known afterwards.
  useEffect(() => {
    if (browser.recall('vault-drop.vault') === 'cards') setView('cards');
  }, []);
  const choose = (next: View) => {
    setView(next);
    browser.remember('vault-drop.vault', next);
  };
  return [view, choose];
}

export function ViewSwitch({ view, onView }: { view: View; onView: (view: View) => void }) {
  return (
    <fieldset className="join" aria-label="How questions are seen">
      {(
        [
          ['list', 'List', Rows3],
          ['cards', 'Cards', LayoutGrid],
        ] as const
      ).map(([name, words, Icon]) => (
        <button
          key={name}
          type="button"
          className={`btn join-item ${view === name ? 'btn-primary' : 'btn-edge'}`}
          aria-pressed={view === name}
          onClick={() => onView(name)}
        >
          <Icon size={15} aria-hidden /> {words}
        </button>
      ))}
    </fieldset>
  );
}
