import { coloursIn, type Look, ownStyle, plainColours, type Style, styleIn } from '../../../core';
import { Choice } from '../../../ui/Choice';
import { MediumField } from '../media/MediumField';
import { ColourField } from '../parts/ColourField';
import { NumberSetting, Setting } from '../parts/Setting';
import type { BenchStore } from '../store';
import { FaceFields } from './FaceFields';

interface Props {
  store: BenchStore;
  look: Look;
  state: string;
  onSet: (look: Look) => void;
}

/** What a state sets; what it does not set is as at rest. */
export function StyleFields({ store, look, state, onSet }: Props) {
  const own = ownStyle(look, state);
  const seen = coloursIn(look, state);
  const plain = plainColours(look.of, state);
  const set = (change: { readonly [Field in keyof Style]?: Style[Field] | undefined }) => {
    const style = Object.fromEntries(Object.entries({ ...own, ...change }).filter(([, value]) => value !== undefined));
    const { [state]: _, ...others } = look.states as Record<string, Style | undefined>;
    onSet({ ...look, states: Object.keys(style).length > 0 ? { ...others, [state]: style } : others } as Look);
  };
  const from = state === 'rest' ? 'as the page draws it' : 'as at rest';
  return (
    <>
      <Setting label="Fill">
        <ColourField label="Fill" value={own.fill} otherwise={seen.fill} onChoose={(fill) => set({ fill })} />
        {!own.fill && <span className="text-sm text-mute">{from}</span>}
      </Setting>
      <Setting label="Text">
        <ColourField label="Text" value={own.text} otherwise={seen.text} onChoose={(text) => set({ text })} />
        <NumberSetting
          label="Size of the text"
          value={own.fontSize ?? null}
          least={6}
          most={200}
          empty={from}
          onSet={(size) => set({ fontSize: size ?? undefined })}
        />
      </Setting>
      <FaceFields
        store={store}
        of="in this state"
        face={own.face ?? null}
        ownFace={own.ownFace ?? null}
        otherwise={from}
        onChoose={(face, ownFace) => set({ face: face ?? undefined, ownFace: ownFace ?? undefined })}
      />
      <Setting label="Edge">
        <ColourField
          label="Edge"
          value={own.edge}
          otherwise={styleIn(look, state).edge ?? plain.edge}
          onChoose={(edge) => set({ edge })}
        />
        <NumberSetting
          label="Width of the edge"
          value={own.edgeWidth ?? null}
          least={0}
          most={50}
          empty={from}
          onSet={(width) => set({ edgeWidth: width ?? undefined })}
        />
      </Setting>
      <Choice
        label="Line"
        options={[
          ['', from],
          ['solid', 'solid'],
          ['dashed', 'dashed'],
          ['dotted', 'dotted'],
          ['none', 'none'],
        ]}
        value={own.edgeStyle ?? ''}
        onChoose={(line) => set({ edgeStyle: line === '' ? undefined : line })}
      />
      <Setting label="Picture">
        <MediumField
          store={store}
          label="Picture"
          kind="picture"
          value={own.picture ?? null}
          onChoose={(id) => set({ picture: id ?? undefined })}
        />
      </Setting>
      <Setting label="Sound">
        <MediumField
          store={store}
          label="Sound"
          kind="sound"
          value={own.sound ?? null}
          onChoose={(id) => set({ sound: id ?? undefined })}
        />
      </Setting>
      <Choice
        label="Motion"
        options={[
          ['none', 'none'],
          ['fade', 'fade'],
          ['shrink', 'shrink away'],
          ['spin', 'spin'],
          ['nudge', 'nudge'],
        ]}
        value={own.motion ?? 'none'}
        onChoose={(motion) => set({ motion: motion === 'none' ? undefined : motion })}
      />
    </>
  );
}
