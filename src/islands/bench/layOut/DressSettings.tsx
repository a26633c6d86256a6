import { Shirt } from 'lucide-react';
import { useState } from 'react';
import { type Dress, dressLike, FRAMES, type Ground, type Question, setQuestion, TEXTURES } from '../../../core';
import { groundTexture } from '../../../scene';
import { ask } from '../../../ui/api';
import { Choice } from '../../../ui/Choice';
import { ChooseQuestion } from '../../shared/ChooseQuestion';
import { LettersFields } from '../looks/LettersFields';
import { MediumField } from '../media/MediumField';
import { ColourField } from '../parts/ColourField';
import { orNull } from '../parts/orNull';
import { Setting } from '../parts/Setting';
import type { BenchStore } from '../store';

const NO_GROUND: Ground = { colour: null, texture: null, picture: null, frame: null };
const FRAME_WORDS = { line: 'a line', double: 'a double line', corners: 'corners', stitched: 'stitches' } as const;

/** The ground of the scene and the letters of the question; both can be taken from another question. */
export function DressSettings({ store }: { store: BenchStore }) {
  const dress = store((s) => s.question.dress);
  const [choosing, setChoosing] = useState(false);
  const ground = dress?.ground ?? NO_GROUND;
  const keep = (next: Dress) => store.getState().do(setQuestion(store.getState().question, 'dress', orNull(next)));
  const set = (change: Partial<Ground>) =>
    keep({ ground: orNull({ ...ground, ...change }), letters: dress?.letters ?? null });
  const take = async (id: string) => {
    setChoosing(false);
    const { question: other } = await ask('GET /api/questions/{id}', { id });
    const { question, do: act } = store.getState();
    act(dressLike(question, other as Question), `Dressed like ${other.title}`);
  };
  return (
    <>
      <Setting label="Ground">
        <ColourField
          label="Colour of the ground"
          value={ground.colour}
          otherwise="sheet"
          onChoose={(colour) => set({ colour: colour ?? null })}
        />
        <MediumField
          store={store}
          label="Picture of the ground"
          kind="picture"
          value={ground.picture}
          onChoose={(picture) => set({ picture })}
        />
      </Setting>
      <fieldset className="border-b border-rule py-1.5">
        <legend className="sr-only">Texture of the ground</legend>
        <span className="grid grid-cols-5 gap-1">
          {([null, ...TEXTURES] as const).map((texture) => (
            <label key={texture} className="relative cursor-pointer text-center text-sm">
              <input
                type="radio"
                name="texture"
                className="sr-only peer"
                checked={ground.texture === texture}
                onChange={() => set({ texture })}
              />
              <span className="relative block h-9 bg-sheet border border-rule overflow-hidden peer-checked:border-2 peer-checked:border-brass peer-focus-visible:outline-3 peer-focus-visible:outline-brass">
                {texture && (
                  <span
                    className="ground-texture"
                    style={{ maskImage: `url(${groundTexture(texture)})`, opacity: 0.5 }}
                  />
                )}
              </span>
              {texture ?? 'plain'}
            </label>
          ))}
        </span>
      </fieldset>
      <Choice
        label="Frame"
        options={[['', 'none'], ...FRAMES.map((frame) => [frame, FRAME_WORDS[frame]] as const)]}
        value={ground.frame ?? ''}
        onChoose={(frame) => set({ frame: frame === '' ? null : frame })}
      />
      <LettersFields
        store={store}
        letters={dress?.letters ?? null}
        of="of the question"
        size="Size of the letters"
        otherwise="as the page draws them"
        empty="15"
        onChange={(letters) => keep({ ground: dress?.ground ?? null, letters })}
      />
      <button type="button" className="btn btn-edge btn-sm mt-2" onClick={() => setChoosing(true)}>
        <Shirt size={15} aria-hidden /> Dress it like another question…
      </button>
      {choosing && (
        <ChooseQuestion
          title="Dress it like"
          says="Its ground and letters, and the looks that most of its items and zones wear, come here."
          without={store.getState().question.id}
          onChoose={(id) => void take(id)}
          onClose={() => setChoosing(false)}
        />
      )}
    </>
  );
}
