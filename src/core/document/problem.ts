/**
 * What is wrong with a document, and where: `path` as in `zones[1].reach.share` (the document itself: ""), `message` a
 * sentence for a teacher.
 */
export interface Problem {
  path: string;
  message: string;
}
