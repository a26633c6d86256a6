/** From how many things on a scene the server leaves drawing it to the browser. */
const CROWD = 200;

/** Is a question so large that drawing it would keep everybody else waiting? */
export const isCrowded = ({
  items,
  zones,
}: {
  readonly items: readonly unknown[];
  readonly zones: readonly unknown[];
}): boolean => items.length + zones.length > CROWD;
