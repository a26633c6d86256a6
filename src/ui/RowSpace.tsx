/** In a table of which only some rows are drawn: the height of those above or below. */
export const RowSpace = ({ height }: { height: number }) =>
  height > 0 && (
    <tr aria-hidden>
      <td style={{ height, padding: 0, border: 0 }} />
    </tr>
  );
