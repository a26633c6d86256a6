/** The kinds of question. */
export const KINDS = ['sort', 'label', 'mark', 'gaps', 'order', 'count', 'build', 'pick', 'free'] as const;
