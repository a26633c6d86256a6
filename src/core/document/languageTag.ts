const TAG = /^[A-Za-z]{2,8}(-[A-Za-z0-9]{1,8}){0,3}$/;
/** A language tag as BCP 47 has them, in its usual parts: as en, pt-BR, sr-Latn. */
export const isLanguageTag = (text: string): boolean => text.length <= 35 && TAG.test(text);
