CREATE TABLE `question_tag` (
	`question_id` text NOT NULL,
	`tag` text NOT NULL,
	PRIMARY KEY(`question_id`, `tag`),
	FOREIGN KEY (`question_id`) REFERENCES `question`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `tag_of_question` ON `question_tag` (`tag`);--> statement-breakpoint
CREATE TABLE `question_words` (
	`n` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`question_id` text NOT NULL,
	`title` text NOT NULL,
	`words` text NOT NULL,
	`tags` text NOT NULL,
	FOREIGN KEY (`question_id`) REFERENCES `question`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `question_words_question_id_unique` ON `question_words` (`question_id`);--> statement-breakpoint
CREATE TABLE `release_question` (
	`release_id` text NOT NULL,
	`question_id` text NOT NULL,
	PRIMARY KEY(`release_id`, `question_id`),
	FOREIGN KEY (`release_id`) REFERENCES `release`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `release_of_question` ON `release_question` (`question_id`);--> statement-breakpoint
CREATE TABLE `shelf` (
	`id` text PRIMARY KEY NOT NULL,
	`owner_id` text NOT NULL,
	`parent_id` text,
	`title` text NOT NULL,
	`created_at` integer NOT NULL,
	FOREIGN KEY (`owner_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`parent_id`) REFERENCES `shelf`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `shelf_of_owner` ON `shelf` (`owner_id`);--> statement-breakpoint
CREATE TABLE `shelf_share` (
	`shelf_id` text NOT NULL,
	`person_id` text NOT NULL,
	`right` text NOT NULL,
	PRIMARY KEY(`shelf_id`, `person_id`),
	FOREIGN KEY (`shelf_id`) REFERENCES `shelf`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`person_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `share_of_person` ON `shelf_share` (`person_id`);--> statement-breakpoint
ALTER TABLE `question` ADD `shelf_id` text REFERENCES shelf(id);--> statement-breakpoint
CREATE INDEX `question_on_shelf` ON `question` (`shelf_id`,`deleted_at`,`changed_at`);--> statement-breakpoint
-- The full-text index over question_words (FTS5 with external content: https://www.sqlite.org/fts5.html#external_content_tables), kept by triggers.
CREATE VIRTUAL TABLE `question_search` USING fts5(`title`, `words`, `tags`, content='question_words', content_rowid='n', tokenize='unicode61 remove_diacritics 2');
--> statement-breakpoint
CREATE TRIGGER `question_words_in` AFTER INSERT ON `question_words` BEGIN INSERT INTO `question_search` (`rowid`, `title`, `words`, `tags`) VALUES (new.`n`, new.`title`, new.`words`, new.`tags`); END;
--> statement-breakpoint
CREATE TRIGGER `question_words_out` AFTER DELETE ON `question_words` BEGIN INSERT INTO `question_search` (`question_search`, `rowid`, `title`, `words`, `tags`) VALUES ('delete', old.`n`, old.`title`, old.`words`, old.`tags`); END;
--> statement-breakpoint
CREATE TRIGGER `question_words_changed` AFTER UPDATE ON `question_words` BEGIN INSERT INTO `question_search` (`question_search`, `rowid`, `title`, `words`, `tags`) VALUES ('delete', old.`n`, old.`title`, old.`words`, old.`tags`); INSERT INTO `question_search` (`rowid`, `title`, `words`, `tags`) VALUES (new.`n`, new.`title`, new.`words`, new.`tags`); END;
--> statement-breakpoint
-- What was there before: its words, and the releases it is in.
INSERT INTO `question_words` (`question_id`, `title`, `words`, `tags`) SELECT `id`, `title`, (SELECT coalesce(group_concat(j.`value`, ' '), '') FROM json_tree(`question`.`document`) j WHERE j.`key` IN ('label', 'text') AND j.`type` = 'text'), '' FROM `question`;
--> statement-breakpoint
INSERT OR IGNORE INTO `release_question` (`release_id`, `question_id`) SELECT `edition`.`release_id`, json_extract(q.`value`, '$.id') FROM `edition`, json_each(`edition`.`content`, '$.questions') q WHERE `edition`.`number` = 1;
