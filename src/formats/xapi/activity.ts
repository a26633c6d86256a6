import type { Item, Question, QuestionModel, Zone } from '../../core';
import { plainText } from '../../core/document';
import { type Form, formOf } from './form';
import { componentId } from './names';
import { patternsOf } from './patterns';

/** Texts by language (xAPI 1.0.3, part 2, 4.2.1). */
export type LanguageMap = Readonly<Record<string, string>>;
interface Component {
  readonly id: string;
  readonly description?: LanguageMap;
}

/** What a question is, for whoever reads its answers (xAPI 1.0.3, part 2, 2.4.4.1: interaction activities). */
export interface QuestionDefinition {
  readonly type: 'http://adlnet.gov/expapi/activities/cmi.interaction';
  readonly name: LanguageMap;
  readonly description?: LanguageMap;
  readonly interactionType: 'choice' | 'fill-in' | 'matching' | 'numeric' | 'other' | 'sequencing';
  readonly correctResponsesPattern?: readonly string[];
  readonly choices?: readonly Component[];
  readonly source?: readonly Component[];
  readonly target?: readonly Component[];
  readonly extensions?: Readonly<Record<string, unknown>>;
}

/** The language of a text that says none (RFC 5646). */
export const UNSAID = 'und';

/** `oneOfSeveral`: the address of the extension which says that there are more right answers than are written. */
export function questionDefinition(model: QuestionModel, oneOfSeveral: string): QuestionDefinition {
  const { question } = model;
  const form = formOf(model);
  const { patterns, all } = patternsOf(model, form);
  const prompt = plainText(question.prompt).trim();
  const lang = question.lang ?? UNSAID;
  return {
    type: 'http://adlnet.gov/expapi/activities/cmi.interaction',
    name: { [question.titleLang ?? lang]: question.title },
    ...(prompt === '' ? {} : { description: { [lang]: prompt } }),
    interactionType: form,
    ...(patterns.length === 0 ? {} : { correctResponsesPattern: patterns }),
    ...componentsOf(question, form),
    ...(patterns.length > 0 && !all ? { extensions: { [oneOfSeveral]: true } } : {}),
  };
}

function componentsOf(question: Question, form: Form): Partial<QuestionDefinition> {
  const component = ({ id, label, lang }: Item | Zone): Component => ({
    id: componentId(id),
    ...(label.trim() === '' ? {} : { description: { [lang ?? question.lang ?? UNSAID]: label } }),
  });
  if (form === 'choice' || form === 'sequencing') return { choices: question.items.map(component) };
  if (form === 'matching') return { source: question.items.map(component), target: question.zones.map(component) };
  return {};
}
