import { type ComponentProps, lazy } from 'react';
import { plainText } from '../../../core/document';
import { Later } from '../../../ui/Later';
import './rich.css';

// Tiptap weighs more than the rest of the Bench: it comes with the first text that is edited.
const RichEditor = lazy(() => import('./Editor'));

export function RichField(props: ComponentProps<typeof RichEditor>) {
  return (
    <Later waiting={<div className="rich-frame p-2 text-mute">{plainText(props.value) || '…'}</div>}>
      <RichEditor {...props} />
    </Later>
  );
}
