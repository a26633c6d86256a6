export { type LanguageMap, type QuestionDefinition, questionDefinition, UNSAID } from './activity';
export { type Form, formOf } from './form';
export { componentId } from './names';
export { responseOf } from './response';
export * from './statement';
