import { useState } from 'react';
import { HexColorPicker } from 'react-colorful';
import { COLOURS, TOKENS } from '../../../core';
import { cssColour } from '../../../scene';

interface Props {
  label: string;
  /** Null: none. Undefined: nothing is set, and what stands for it is shown. */
  value: string | null | undefined;
  /** What stands where nothing is set. */
  otherwise?: string;
  onChoose: (colour: string | undefined) => void;
}

const hexOf = (colour: string) => (colour.startsWith('#') ? colour : TOKENS[colour as keyof typeof TOKENS]);

/** A colour: one of the application's, which goes with its dark theme, or one of the author's own. */
export function ColourField({ label, value, otherwise, onChoose }: Props) {
  const [open, setOpen] = useState(false);
  const shown = value ?? otherwise;
  return (
    <span className="inline-flex flex-wrap items-center gap-1">
      <button
        type="button"
        className={`size-6 border border-ink rounded cursor-pointer ${value ? '' : 'opacity-45 border-dashed'}`}
        style={shown ? { background: cssColour(shown) } : {}}
        aria-expanded={open}
        aria-label={`${label}: ${value ?? 'not set'}`}
        onClick={() => setOpen(!open)}
      />
      {open && (
        <span className="flex flex-col gap-1 border border-rule bg-sheet p-2">
          <span className="flex flex-wrap gap-1 max-w-52">
            {COLOURS.map((colour) => (
              <button
                key={colour}
                type="button"
                title={colour}
                aria-label={`${label}: ${colour}`}
                aria-pressed={value === colour}
                className={`size-6 rounded cursor-pointer border ${value === colour ? 'border-2 border-brass' : 'border-rule'}`}
                style={{ background: cssColour(colour) }}
                onClick={() => onChoose(colour)}
              />
            ))}
          </span>
          <Own label={label} value={shown ? hexOf(shown) : '#8a5c0d'} onChoose={onChoose} />
          <span className="flex gap-1">
            <button type="button" className="btn btn-quiet btn-xs" onClick={() => onChoose(undefined)}>
              Not set
            </button>
            <button type="button" className="btn btn-quiet btn-xs" onClick={() => setOpen(false)}>
              Close
            </button>
          </span>
        </span>
      )}
    </span>
  );
}

/** The author's own colour: it becomes the choice when the hand lets go, so that a pull is one step. */
function Own({ label, value, onChoose }: { label: string; value: string; onChoose: (colour: string) => void }) {
  const [colour, setColour] = useState(value);
  const take = () => colour !== value && /^#[0-9a-f]{6}$/.test(colour) && onChoose(colour);
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: the picker and the field in it are the controls; this hears when a hand lets go of either
    <span onPointerUp={take} onBlur={take} onKeyUp={(event) => event.key === 'Enter' && take()}>
      <HexColorPicker color={colour} onChange={setColour} style={{ width: 180, height: 90 }} />
      <input
        aria-label={`${label}: your own, # and six digits`}
        className="input input-xs figures w-24 mt-1"
        value={colour}
        onChange={(event) => setColour(event.target.value.toLowerCase())}
      />
    </span>
  );
}
