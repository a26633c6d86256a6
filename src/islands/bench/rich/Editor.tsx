import { type Editor, Extension, Mark, mergeAttributes, Node } from '@tiptap/core';
import { EditorContent, useEditor, useEditorState } from '@tiptap/react';
import StarterKit from '@tiptap/starter-kit';
import { Bold, Code as CodeIcon, Italic, List, ListOrdered, Sigma } from 'lucide-react';
import { useEffect, useRef } from 'react';
import type { Rich } from '../../../core';
import { fromEditor, type SlotWords, sameText, toEditor } from './convert';

const TINTS = ['ink', 'mute', 'brass', 'verdigris', 'brick'] as const;

const Tint = Mark.create({
  name: 'tint',
  addAttributes: () => ({ colour: { default: 'brass' } }),
  parseHTML: () => [{ tag: 'span[data-tint]', getAttrs: (element) => ({ colour: element.getAttribute('data-tint') }) }],
  renderHTML: ({ mark, HTMLAttributes }) => [
    'span',
    mergeAttributes(HTMLAttributes, { 'data-tint': mark.attrs.colour, class: `text-${mark.attrs.colour}` }),
    0,
  ],
});
const Lang = Mark.create({
  name: 'lang',
  addAttributes: () => ({ lang: { default: null } }),
  parseHTML: () => [{ tag: 'span[lang]', getAttrs: (element) => ({ lang: element.getAttribute('lang') }) }],
  renderHTML: ({ mark, HTMLAttributes }) => ['span', mergeAttributes(HTMLAttributes, { lang: mark.attrs.lang }), 0],
});
const Code = Mark.create({
  name: 'code',
  parseHTML: () => [{ tag: 'code' }],
  renderHTML: ({ HTMLAttributes }) => ['code', mergeAttributes(HTMLAttributes, { class: 'code' }), 0],
});
/** A place in the text that is a zone: kept where it is, and moved or deleted whole. */
const Slot = Node.create({
  name: 'slot',
  group: 'inline',
  inline: true,
  atom: true,
  addAttributes: () => ({ zone: { default: '' }, word: { default: '' } }),
  parseHTML: () => [
    {
      tag: 'span[data-slot]',
      getAttrs: (element) => ({ zone: element.getAttribute('data-slot'), word: element.textContent }),
    },
  ],
  renderHTML: ({ node }) => [
    'span',
    { 'data-slot': node.attrs.zone, class: 'rich-slot' },
    `${node.attrs.word || node.attrs.zone}`,
  ],
});
/** A formula: shown as its TeX, since that is what is changed of it; pressing it makes it text again. */
const FormulaNode = Node.create({
  name: 'formula',
  group: 'inline',
  inline: true,
  atom: true,
  addAttributes: () => ({ formula: { default: null }, words: { default: '' } }),
  parseHTML: () => [],
  renderHTML: ({ node }) => [
    'span',
    { class: 'rich-formula', title: `${node.attrs.words}. Press twice to change it.` },
    `${node.attrs.formula?.tex ?? ''}`,
  ],
});
const Direction = Extension.create({
  name: 'dir',
  addGlobalAttributes: () => [
    { types: ['paragraph', 'bulletList', 'orderedList'], attributes: { dir: { default: null } } },
  ],
});

const EXTENSIONS = [
  StarterKit.configure({
    blockquote: false,
    code: false,
    codeBlock: false,
    heading: false,
    horizontalRule: false,
    link: false,
    strike: false,
    underline: false,
    trailingNode: false,
    hardBreak: false,
  }),
  Tint,
  Lang,
  Code,
  Slot,
  FormulaNode,
  Direction,
];

/** A formula that is selected becomes text to be changed; else one is begun where the cursor is. */
function writeFormula(editor: Editor): void {
  const { from, to } = editor.state.selection;
  const chosen = editor.state.doc.nodeAt(from);
  const tex = chosen?.type.name === 'formula' ? chosen.attrs.formula.tex : editor.state.doc.textBetween(from, to);
  editor
    .chain()
    .focus()
    .insertContentAt(
      { from, to: chosen?.type.name === 'formula' ? from + 1 : to },
      { type: 'text', text: `$${tex || 'x^2'}$` },
    )
    .setTextSelection({ from: from + 1, to: from + 1 + (tex || 'x^2').length })
    .run();
}

interface Props {
  label: string;
  value: Rich | null;
  onTyped: (value: Rich | null) => void;
  lines?: number;
  /** What stands for the gaps in it: their words. */
  words?: SlotWords;
}

/** A text with emphasis, colour, lists, language and direction. What was typed is taken when it is left. */
export default function RichEditor({ label, value, onTyped, lines = 2, words }: Props) {
  const latest = useRef({ value, onTyped });
  latest.current = { value, onTyped };
  const editor = useEditor({
    extensions: EXTENSIONS,
    content: toEditor(value, words),
    immediatelyRender: true,
    editorProps: {
      attributes: {
        'aria-label': label,
        role: 'textbox',
        'aria-multiline': 'true',
        class: 'rich-editor',
        style: `min-height: ${lines * 1.5}em`,
      },
      handleDoubleClickOn: (view, _at, node, position) => {
        if (node.type.name !== 'formula') return false;
        const text = view.state.schema.text(`$${node.attrs.formula.tex}$`);
        view.dispatch(view.state.tr.replaceWith(position, position + node.nodeSize, text));
        return true;
      },
    },
    onBlur: ({ editor: left }) => {
      const typed = fromEditor(left.getJSON());
      if (!sameText(typed, latest.current.value)) latest.current.onTyped(typed);
    },
  });
  // Undo elsewhere, another thing selected: the text follows.
  useEffect(() => {
    if (!editor.isDestroyed && !editor.isFocused && !sameText(fromEditor(editor.getJSON()), value))
      editor.commands.setContent(toEditor(value, words));
  }, [editor, value, words]);
  const on = useEditorState({
    editor,
    selector: ({ editor: now }) => ({
      bold: now.isActive('bold'),
      italic: now.isActive('italic'),
      formula: now.isActive('formula'),
      code: now.isActive('code'),
      bullets: now.isActive('bulletList'),
      numbers: now.isActive('orderedList'),
      tint: (now.getAttributes('tint').colour as string | undefined) ?? '',
      lang: (now.getAttributes('lang').lang as string | undefined) ?? '',
      rtl: now.getAttributes('paragraph').dir === 'rtl',
    }),
  });
  const tool = (active: boolean) => `bench-tool ${active ? 'bench-tool-on' : ''}`;
  const keep = (event: { preventDefault: () => void }) => event.preventDefault();
  return (
    <div className="rich-frame">
      <div
        className="flex flex-wrap items-center gap-0.5 border-b border-rule p-0.5"
        role="toolbar"
        aria-label={`Form of the text: ${label}`}
      >
        <button
          type="button"
          className={tool(on.bold)}
          aria-pressed={on.bold}
          aria-label="Strong"
          onMouseDown={keep}
          onClick={() => editor.chain().focus().toggleBold().run()}
        >
          <Bold size={14} aria-hidden />
        </button>
        <button
          type="button"
          className={tool(on.italic)}
          aria-pressed={on.italic}
          aria-label="Emphasis"
          onMouseDown={keep}
          onClick={() => editor.chain().focus().toggleItalic().run()}
        >
          <Italic size={14} aria-hidden />
        </button>
        <button
          type="button"
          className={tool(on.code)}
          aria-pressed={on.code}
          aria-label="Code"
          onMouseDown={keep}
          onClick={() => editor.chain().focus().toggleMark('code').run()}
        >
          <CodeIcon size={14} aria-hidden />
        </button>
        <button
          type="button"
          className={tool(on.bullets)}
          aria-pressed={on.bullets}
          aria-label="List"
          onMouseDown={keep}
          onClick={() => editor.chain().focus().toggleBulletList().run()}
        >
          <List size={14} aria-hidden />
        </button>
        <button
          type="button"
          className={tool(on.numbers)}
          aria-pressed={on.numbers}
          aria-label="Numbered list"
          onMouseDown={keep}
          onClick={() => editor.chain().focus().toggleOrderedList().run()}
        >
          <ListOrdered size={14} aria-hidden />
        </button>
        <button
          type="button"
          className={tool(on.formula)}
          aria-label={on.formula ? 'Change the formula' : 'Formula: TeX between dollar signs'}
          title={on.formula ? 'Change the formula' : 'Formula: TeX between dollar signs'}
          onMouseDown={keep}
          onClick={() => writeFormula(editor)}
        >
          <Sigma size={14} aria-hidden />
        </button>
        <select
          className="select select-xs w-24"
          aria-label="Colour of the text"
          value={on.tint}
          onChange={(event) =>
            event.target.value
              ? editor.chain().focus().setMark('tint', { colour: event.target.value }).run()
              : editor.chain().focus().unsetMark('tint').run()
          }
        >
          <option value="">colour</option>
          {TINTS.map((tint) => (
            <option key={tint} value={tint}>
              {tint}
            </option>
          ))}
        </select>
        <input
          className="input input-xs w-16"
          aria-label="Language of the text, as in fr"
          placeholder="lang"
          key={on.lang}
          defaultValue={on.lang}
          onKeyDown={(event) => event.key === 'Enter' && event.currentTarget.blur()}
          onBlur={(event) => {
            const lang = event.target.value.trim();
            if (lang === on.lang) return;
            if (lang) editor.chain().focus().setMark('lang', { lang }).run();
            else editor.chain().focus().unsetMark('lang').run();
          }}
        />
        <button
          type="button"
          className={tool(on.rtl)}
          aria-pressed={on.rtl}
          onMouseDown={keep}
          onClick={() =>
            editor
              .chain()
              .focus()
              .updateAttributes('paragraph', { dir: on.rtl ? null : 'rtl' })
              .run()
          }
        >
          right to left
        </button>
      </div>
      <EditorContent editor={editor} />
    </div>
  );
}
