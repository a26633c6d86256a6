import { readdirSync, readFileSync } from 'node:fs';
import { convertToTSX } from '@astrojs/compiler/sync';
import { compileMessage } from '@lingui/message-utils/compileMessage';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';
import { catalogues } from '../src/words/catalogues';
import { LANGUAGES, type Language, localeOf } from '../src/words/languages';

type Tokens = ReturnType<typeof compileMessage>;

/** What a phrase is given by name, and the numbers by which it chooses. */
function namesIn(tokens: Tokens, kind: 'all' | 'plural' = 'all'): { name: string; forms: string[] }[] {
  if (!Array.isArray(tokens)) return [];
  return tokens.flatMap((token) => {
    if (!Array.isArray(token)) return [];
    const [name, type, format] = token as [string, string?, Record<string, Tokens>?];
    const inner = format && typeof format === 'object' ? Object.values(format).flatMap((of) => namesIn(of, kind)) : [];
    const own = kind === 'all' || type === 'plural' ? [{ name, forms: Object.keys(format ?? {}) }] : [];
    return [...own, ...inner];
  });
}
const given = (text: string) => [...new Set(namesIn(compileMessage(text)).map(({ name }) => name))].sort();
const english = catalogues.en.phrases;
const languages = Object.keys(LANGUAGES) as Language[];

describe('the catalogues', () => {
  it.each(languages)('%s has every phrase, and no other', (language) => {
    expect(Object.keys(catalogues[language].phrases)).toEqual(Object.keys(english));
    expect(Object.values(catalogues[language].phrases).filter((text) => text.trim() === '')).toEqual([]);
  });

  it.each(languages)('%s is named in its own words, and says whether it was read by who speaks it', (language) => {
    expect(catalogues[language].language).toBe(LANGUAGES[language]);
    expect(['source', 'no', 'yes']).toContain(catalogues[language].reviewed);
  });

  it.each(languages)('%s takes the same values as the English phrases', (language) => {
    const { phrases } = catalogues[language];
    const wrong = Object.keys(english).filter(
      (id) => given(phrases[id] ?? '').join() !== given(english[id] ?? '').join(),
    );
    expect(wrong).toEqual([]);
  });

  it.each(languages)('%s has every plural form that its numbers ask for', (language) => {
    const categories = new Intl.PluralRules(localeOf(language)).resolvedOptions().pluralCategories;
    const lacking = Object.entries(catalogues[language].phrases).flatMap(([id, text]) =>
      namesIn(compileMessage(text), 'plural').flatMap(({ forms }) =>
        // "Many" in French, Spanish and Portuguese is a million: "other" is said for it.
        categories
          .filter(
            (form) =>
              !forms.includes(form) && !(form === 'many' && !['pl', 'ar'].includes(language)) && !exact(forms, form),
          )
          .map((form) => `${id}: ${form}`),
      ),
    );
    expect(lacking).toEqual([]);
  });
});

/** "=1" stands for "one" in a language in which that is 1 alone. */
const exact = (forms: readonly string[], form: string) => form === 'one' && forms.includes('1');

// What learners read. Teachers' pages speak English.
const READ = [
  /^src\/islands\/player\/.*\.tsx?$/,
  /^src\/islands\/account\/(SignIn|Join)\.tsx$/,
  /^src\/islands\/courses\/Invitations\.tsx$/,
  /^src\/islands\/shared\/paper\/.*\.tsx?$/,
  /^src\/islands\/results\/LearnerReport\.tsx$/,
  /^src\/scene\/.*\.tsx?$/,
  /^src\/ui\/(LanguageChoice|errorInWords|Shell|TopLine|ProblemPage)\.(ts|tsx|astro)$/,
  /^src\/pages\/(404|500|join|sign-in|sit\/.*|report\/.*|_parts\/YourWork|problem\/.*)\.astro$/,
];
const files = readdirSync('src', { recursive: true, encoding: 'utf8' }).map((path) => `src/${path}`);
const SOURCES = files.filter((path) => READ.some((of) => of.test(path)) && !path.includes('.test.')).sort();

function treeOf(path: string): ts.SourceFile {
  const text = readFileSync(path, 'utf8');
  const code = path.endsWith('.astro') ? convertToTSX(text, { filename: path }).code : text;
  return ts.createSourceFile(path, code, ts.ScriptTarget.ESNext, true, ts.ScriptKind.TSX);
}

const LABELS = [
  'aria-label',
  'aria-roledescription',
  'aria-description',
  'title',
  'alt',
  'placeholder',
  'label',
  'hint',
  'action',
  'cancel',
  'otherwise',
];
const nameOf = (node: ts.JsxAttribute) => node.name.getText();

/** Whether a text stands where it is shown or spoken. */
function isShown(node: ts.Node): boolean {
  for (let at: ts.Node = node; at.parent; at = at.parent) {
    const { parent } = at;
    if (ts.isJsxAttribute(parent)) return LABELS.includes(nameOf(parent));
    if (ts.isJsxExpression(parent) && !ts.isJsxAttribute(parent.parent)) return true;
    if (ts.isCallExpression(parent) || ts.isArrowFunction(parent) || ts.isBinaryExpression(parent)) return false;
  }
  return false;
}

/** A text, whatever it is, that is the value of a label, or one of those that it may be. */
const isLabel = (node: ts.Node): boolean => {
  const { parent } = node;
  if (ts.isConditionalExpression(parent)) return parent.condition !== node && isLabel(parent);
  if (ts.isJsxExpression(parent)) return isLabel(parent);
  return ts.isJsxAttribute(parent) && LABELS.includes(nameOf(parent));
};

/** Where no words stand for a reader: types, imports, names of classes, and errors that no reader sees. */
function isCode(node: ts.Node): boolean {
  for (let at: ts.Node | undefined = node; at; at = at.parent) {
    if (ts.isImportDeclaration(at) || ts.isTypeNode(at) || ts.isNewExpression(at)) return true;
    if (ts.isJsxAttribute(at) && !LABELS.includes(nameOf(at))) return true;
    if (ts.isPropertyAssignment(at) && ['transform', 'className'].includes(at.name.getText())) return true;
    if (
      ts.isCallExpression(at) &&
      /^(phrase|api|addressOf|document|matchMedia|console|import|.*\.(closest|querySelector\w*|animate))\b/.test(
        at.expression.getText(),
      )
    )
      return true;
  }
  return false;
}

/** Names, which are the same in every language; and what teachers alone see. */
const NAMES =
  /^(·? ?Vault Drop|Vault|Sets|Courses|Stock lists|Playwrite .*|Source Serif 4|Barlow Condensed|Patrick Hand|Atkinson .*)$/;

const wordsIn = (tree: ts.SourceFile): string[] => {
  const found: string[] = [];
  const look = (node: ts.Node): void => {
    const at = () => `${tree.fileName}:${tree.getLineAndCharacterOfPosition(node.getStart()).line + 1}`;
    if (NAMES.test((node as ts.JsxText).text?.trim())) return;
    if (ts.isJsxText(node) && /\p{L}/u.test(node.text.replaceAll(/&\w+;/g, '')))
      found.push(`${at()} ${node.text.trim()}`);
    else if (ts.isStringLiteralLike(node) || ts.isTemplateHead(node) || ts.isTemplateMiddleOrTemplateTail(node)) {
      const isSentence = /\p{L}{2,} \p{L}/u.test(node.text) && !isCode(node);
      if (
        isSentence ||
        (/^\s*\p{Lu}\p{Ll}/u.test(node.text) && isShown(node)) ||
        (/\p{L}/u.test(node.text) && isLabel(node))
      )
        found.push(`${at()} ${node.text}`);
    }
    ts.forEachChild(node, look);
  };
  look(tree);
  return found;
};

interface Call {
  readonly where: string;
  readonly id: string;
  /** Null: they are not written out. */
  readonly values: readonly string[] | null;
}

/** The calls of `phrase`, one for each phrase that they may say. */
function callsIn(path: string): Call[] {
  const found: Call[] = [];
  const look = (node: ts.Node): void => {
    if (ts.isCallExpression(node) && node.expression.getText() === 'phrase') {
      const [id, values] = node.arguments;
      const ids: string[] = [];
      const gather = (of: ts.Node): void => {
        if (ts.isStringLiteralLike(of) && of.text in english) ids.push(of.text);
        ts.forEachChild(of, gather);
      };
      if (id) gather(id);
      const names =
        values === undefined
          ? []
          : ts.isObjectLiteralExpression(values) && values.properties.every((of) => !ts.isSpreadAssignment(of))
            ? values.properties.map((of) => of.name?.getText() ?? '')
            : null;
      found.push(...ids.map((of) => ({ where: path, id: of, values: names })));
    }
    ts.forEachChild(node, look);
  };
  look(treeOf(path));
  return found;
}

describe('the learner’s pages', () => {
  it('say nothing that is in no catalogue', () => {
    expect(SOURCES.length).toBeGreaterThan(50);
    expect(SOURCES.flatMap((path) => wordsIn(treeOf(path)))).toEqual([]);
  });

  it('give each phrase what it takes', () => {
    const calls = SOURCES.flatMap(callsIn);
    expect(calls.length).toBeGreaterThan(200);
    const wrong = calls.filter(
      ({ id, values }) => values && [...values].sort().join() !== given(english[id] ?? '').join(),
    );
    expect(wrong).toEqual([]);
  });

  it('leave no phrase unsaid', () => {
    const all = files
      .filter((path) => /\.(tsx?|astro)$/.test(path))
      .map((path) => readFileSync(path, 'utf8'))
      .join('\n');
    // Phrases that are named by a state, a role or an error.
    const named = [/^player\.step[A-Z]/, /^errors\./, /^account\.(teacher|learner)$/];
    const unsaid = Object.keys(english).filter((id) => !named.some((of) => of.test(id)) && !all.includes(`'${id}'`));
    expect(unsaid).toEqual([]);
  });
});

it('words are found wherever they stand, and code is passed over', () => {
  const inCode = (code: string) =>
    wordsIn(ts.createSourceFile('x.tsx', code, ts.ScriptTarget.ESNext, true, ts.ScriptKind.TSX)).length;
  expect(inCode('<p>Put back</p>')).toBe(1);
  expect(inCode('<p>{done ? `Finished` : a}</p>')).toBe(1);
  expect(inCode('<p title="Finished">{phrase("player.hint")}</p>')).toBe(1);
  expect(inCode('<p aria-roledescription={own ? "draggable" : undefined}>·</p>')).toBe(1);
  // biome-ignore lint/suspicious/noTemplateCurlyInString: it is code that is read
  expect(inCode('say(`${name} is in hand.`)')).toBe(1);
  expect(inCode('<p className="btn btn-edge" data-x="Not shown">·</p>')).toBe(0);
  expect(inCode("if (event.key === 'Escape') throw new Error('No scene here')")).toBe(0);
  expect(given('{n, plural, one {# of {of}} other {# of {of}}}')).toEqual(['n', 'of']);
});
