import { Command as Palette } from 'cmdk';
import { nameOf, things } from '../../../core';
import { Dialog } from '../../../ui/Dialog';
import type { BenchStore } from '../store';
import { COMMANDS, isFor } from './commands';
import { keysInWords } from './keys';
import '../../../ui/palette.css';

/** Every command and every thing on the scene, found by name: nothing needs the mouse. */
export function CommandPalette({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const selected = store((s) => s.selection.size);
  const close = () => store.getState().show(null);
  const usable = COMMANDS.filter((command) => isFor(command, selected));
  const groups = [...new Set(usable.map(({ group }) => group))];
  return (
    <Dialog title="Commands" onClose={close}>
      <Palette label="Commands" loop>
        <Palette.Input
          data-autofocus
          className="input w-full"
          placeholder="Type what you want to do, or the name of a thing"
        />
        <Palette.List className="max-h-80 overflow-auto mt-2">
          <Palette.Empty className="p-2 text-mute">No command and no thing is called that.</Palette.Empty>
          {groups.map((group) => (
            <Palette.Group key={group} heading={group} className="palette-group">
              {usable
                .filter((command) => command.group === group)
                .map((command) => (
                  <Palette.Item
                    key={command.words}
                    value={`${group} ${command.words}`}
                    className="palette-item"
                    onSelect={() => {
                      close();
                      command.run(store);
                    }}
                  >
                    <span className="grow">{command.words}</span>
                    {command.keys?.[0] && (
                      <kbd className="figures text-sm text-mute">{keysInWords(command.keys[0])}</kbd>
                    )}
                  </Palette.Item>
                ))}
            </Palette.Group>
          ))}
          <Palette.Group heading="Select" className="palette-group">
            {things(question).map((thing) => (
              <Palette.Item
                key={thing.ref}
                value={`select ${thing.kind} ${nameOf(thing)} ${thing.ref}`}
                className="palette-item"
                onSelect={() => {
                  close();
                  store.getState().select([thing.ref]);
                  // The dialog first returns the focus, then it moves to the thing.
                  setTimeout(() =>
                    document.querySelector<HTMLElement>(`[data-ref="${CSS.escape(thing.ref)}"]`)?.focus(),
                  );
                }}
              >
                <span className="grow">{nameOf(thing)}</span>
                <span className="text-sm text-mute">{thing.kind}</span>
              </Palette.Item>
            ))}
          </Palette.Group>
        </Palette.List>
      </Palette>
    </Dialog>
  );
}
