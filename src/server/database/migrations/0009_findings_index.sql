-- Findings stand behind the document in a row of question: without this each row of the Vault would be read whole to be counted (drizzle-kit cannot write an index over expressions).
CREATE INDEX `question_by_findings` ON `question` (`owner_id`, `deleted_at`, json_extract(findings, '$.error'), json_extract(findings, '$.warning'));
