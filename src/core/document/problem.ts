/**
 * A problem of a document: `path` as in `zones[1].reach.share` (the document itself: ""), `message` a sentence for a
 * teacher.
 */
export interface Problem {
  path: string;
  message: string;
}
