export type ItemState = 'rest' | 'inHand' | 'overZone' | 'settled' | 'waiting' | 'turnedAway' | 'right' | 'wrong' | 'putAway';

/** What is on a paper tag: its words, and the mark of a verdict. The tag itself is the element around it, which the page makes movable. */
export function ItemFace({ label, state }: { label: string; state: ItemState }) {
  return (
    <>
      <span className="tag-words">{label}</span>
      {state === 'right' && (
        <span className="tag-seal" aria-hidden>
          ✓
        </span>
      )}
      {state === 'wrong' && (
        <span className="tag-seal" aria-hidden>
          ↩
        </span>
      )}
    </>
  );
}
