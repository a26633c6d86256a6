import { sql } from 'drizzle-orm';
import { question, questionWords } from '../database/tables';

/** What a question is worth, and what there is to do in it. Its words have to be joined. */
export const worth = {
  max: sql<number>`json_extract(${question.document}, '$.marks.max')`,
  items: sql<number>`json_array_length(${question.document}, '$.items')`,
  gaps: sql<number>`(select count(*) from json_each(${question.document}, '$.zones') zone
    where json_extract(zone.value, '$.typed') is not null)`,
  // One more than the spaces between them.
  words: sql<number>`coalesce(
    length(${questionWords.words}) - length(replace(${questionWords.words}, ' ', '')) + 1, 0)`,
};
