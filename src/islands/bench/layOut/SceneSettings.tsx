import { type Kind, setItem, setQuestion, type Tray } from '../../../core';
import { KINDS } from '../../../core/document';
import { Choice } from '../../../ui/Choice';
import { NumberSetting, Setting } from '../parts/Setting';
import { type BenchStore, framesOf } from '../store';

/** The kinds that are made on a scene; the others have editors of their own. */
const ON_SCENE: readonly Kind[] = ['sort', 'label', 'count', 'build', 'free'];
const TRAY: Tray = { side: 'bottom', size: 150, order: 'asListed' };
const MOST = 4000;

/** How large the scene is, what kind of question it is, and where the items wait. */
export function SceneSettings({ store }: { store: BenchStore }) {
  const question = store((s) => s.question);
  const { scene, tray, kind } = question;
  const act = store.getState().do;
  const kinds = KINDS.filter((candidate) => ON_SCENE.includes(candidate) || candidate === kind);
  const side = (to: Tray['side'] | 'none') => {
    if (to !== 'none') return act(setQuestion(question, 'tray', { ...(tray ?? TRAY), side: to }));
    // Without a tray every item has a home of its own: where it stands now.
    const at = framesOf(question);
    const homes = question.items.flatMap(({ id, home }) => {
      const frame = at.get(`item:${id}`);
      return home === null && frame
        ? setItem(question, id, 'home', { x: Math.round(frame.x), y: Math.round(frame.y) })
        : [];
    });
    act([...homes, ...setQuestion(question, 'tray', null)], 'Without a tray');
  };
  return (
    <>
      <Setting label="Kind">
        <select
          className="select select-sm w-40"
          aria-label="Kind of question"
          value={kind}
          onChange={(event) => act(setQuestion(question, 'kind', event.target.value as Kind))}
        >
          {kinds.map((kind) => (
            <option key={kind} value={kind}>
              {kind[0]?.toUpperCase()}
              {kind.slice(1)}
            </option>
          ))}
        </select>
      </Setting>
      <Setting label="Scene">
        <NumberSetting
          label="Width of the scene"
          value={scene.width}
          least={100}
          most={MOST}
          whole
          onSet={(width) => width !== null && act(setQuestion(question, 'scene', { ...scene, width }))}
        />
        <span aria-hidden>×</span>
        <NumberSetting
          label="Height of the scene"
          value={scene.height}
          least={100}
          most={MOST}
          whole
          onSet={(height) => height !== null && act(setQuestion(question, 'scene', { ...scene, height }))}
        />
      </Setting>
      <Choice
        label="Tray"
        options={[
          ['bottom', 'below'],
          ['top', 'above'],
          ['left', 'left'],
          ['right', 'right'],
          ['none', 'none: homes of their own'],
        ]}
        value={tray?.side ?? 'none'}
        onChoose={side}
      />
      {tray && (
        <Setting label="Tray size">
          <NumberSetting
            label="Size of the tray"
            value={tray.size}
            least={20}
            most={MOST}
            whole
            onSet={(size) => size !== null && act(setQuestion(question, 'tray', { ...tray, size }))}
          />
        </Setting>
      )}
    </>
  );
}
