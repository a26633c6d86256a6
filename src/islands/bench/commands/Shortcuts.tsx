import { Dialog } from '../../../ui/Dialog';
import type { BenchStore } from '../store';
import { ALSO, COMMANDS } from './commands';
import { keysInWords } from './keys';

/** All shortcuts, by what they are for. */
export function Shortcuts({ store }: { store: BenchStore }) {
  const shown = COMMANDS.filter(({ keys }) => keys);
  const groups = [...new Set(shown.map(({ group }) => group))];
  return (
    <Dialog title="Shortcuts" onClose={() => store.getState().show(null)}>
      <p className="text-mute mb-2">
        Those of the scene work while the focus is on it. Everything else is in the list of commands.
      </p>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls can be reached by keyboard */}
      <section aria-label="All shortcuts" className="max-h-[60vh] overflow-auto" tabIndex={0}>
        {groups.map((group) => (
          <table key={group} className="w-full mb-3">
            <caption className="text-left font-semibold">{group}</caption>
            <tbody>
              {shown
                .filter((command) => command.group === group)
                .map(({ words, keys, where }) => (
                  <tr key={words} className="border-b border-rule">
                    <td className="py-0.5">
                      {words}
                      {where === 'scene' && <span className="text-sm text-mute"> on the scene</span>}
                    </td>
                    <td className="text-right figures text-sm whitespace-nowrap">
                      {keys?.map(keysInWords).join(' or ')}
                    </td>
                  </tr>
                ))}
            </tbody>
          </table>
        ))}
        <table className="w-full">
          <caption className="text-left font-semibold">With the mouse and the clipboard</caption>
          <tbody>
            {ALSO.map(([keys, words]) => (
              <tr key={keys} className="border-b border-rule">
                <td className="py-0.5">{words}</td>
                <td className="text-right figures text-sm">{keys.replaceAll('Mod', keysInWords('Mod'))}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </Dialog>
  );
}
