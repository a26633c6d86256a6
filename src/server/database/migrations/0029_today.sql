CREATE TABLE `findable` (
	`n` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`item` text NOT NULL,
	`place` text NOT NULL,
	`title` text NOT NULL,
	`words` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `findable_item` ON `findable` (`kind`,`item`,`place`);--> statement-breakpoint
CREATE TABLE `look` (
	`person_id` text PRIMARY KEY NOT NULL,
	`at` integer NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
-- The full-text index over findable (FTS5 with external content: https://www.sqlite.org/fts5.html#external_content_tables), kept by triggers.
CREATE VIRTUAL TABLE `everything` USING fts5(`title`, `words`, content='findable', content_rowid='n', prefix='2 3', tokenize='unicode61 remove_diacritics 2');
--> statement-breakpoint
CREATE TRIGGER `findable_in` AFTER INSERT ON `findable` BEGIN INSERT INTO `everything` (`rowid`, `title`, `words`) VALUES (new.`n`, new.`title`, new.`words`); END;
--> statement-breakpoint
CREATE TRIGGER `findable_out` AFTER DELETE ON `findable` BEGIN INSERT INTO `everything` (`everything`, `rowid`, `title`, `words`) VALUES ('delete', old.`n`, old.`title`, old.`words`); END;
--> statement-breakpoint
CREATE TRIGGER `findable_changed` AFTER UPDATE ON `findable` BEGIN INSERT INTO `everything` (`everything`, `rowid`, `title`, `words`) VALUES ('delete', old.`n`, old.`title`, old.`words`); INSERT INTO `everything` (`rowid`, `title`, `words`) VALUES (new.`n`, new.`title`, new.`words`); END;
--> statement-breakpoint
CREATE TRIGGER `found_question_in` AFTER INSERT ON `question_words` BEGIN INSERT INTO `findable` (`kind`, `item`, `place`, `title`, `words`) VALUES ('question', new.`question_id`, '', new.`title`, new.`words` || ' ' || new.`tags`); END;
--> statement-breakpoint
CREATE TRIGGER `found_question_changed` AFTER UPDATE ON `question_words` BEGIN UPDATE `findable` SET `title` = new.`title`, `words` = new.`words` || ' ' || new.`tags` WHERE `kind` = 'question' AND `item` = new.`question_id` AND `place` = ''; END;
--> statement-breakpoint
CREATE TRIGGER `found_question_out` AFTER DELETE ON `question_words` BEGIN DELETE FROM `findable` WHERE `kind` = 'question' AND `item` = old.`question_id` AND `place` = ''; END;
--> statement-breakpoint
CREATE TRIGGER `found_set_in` AFTER INSERT ON `question_set` BEGIN INSERT INTO `findable` (`kind`, `item`, `place`, `title`, `words`) VALUES ('set', new.`id`, '', new.`title`, ''); END;
--> statement-breakpoint
CREATE TRIGGER `found_set_changed` AFTER UPDATE OF `title` ON `question_set` WHEN new.`title` <> old.`title` BEGIN UPDATE `findable` SET `title` = new.`title` WHERE `kind` = 'set' AND `item` = new.`id` AND `place` = ''; END;
--> statement-breakpoint
CREATE TRIGGER `found_set_out` AFTER DELETE ON `question_set` BEGIN DELETE FROM `findable` WHERE `kind` = 'set' AND `item` = old.`id` AND `place` = ''; END;
--> statement-breakpoint
CREATE TRIGGER `found_course_in` AFTER INSERT ON `course` BEGIN INSERT INTO `findable` (`kind`, `item`, `place`, `title`, `words`) VALUES ('course', new.`id`, new.`id`, new.`title`, ''); END;
--> statement-breakpoint
CREATE TRIGGER `found_course_changed` AFTER UPDATE OF `title` ON `course` WHEN new.`title` <> old.`title` BEGIN UPDATE `findable` SET `title` = new.`title` WHERE `kind` = 'course' AND `item` = new.`id`; END;
--> statement-breakpoint
CREATE TRIGGER `found_course_out` AFTER DELETE ON `course` BEGIN DELETE FROM `findable` WHERE `kind` = 'course' AND `item` = old.`id`; END;
--> statement-breakpoint
CREATE TRIGGER `found_release_in` AFTER INSERT ON `release` BEGIN INSERT INTO `findable` (`kind`, `item`, `place`, `title`, `words`) VALUES ('release', new.`id`, new.`course_id`, new.`title`, ''); END;
--> statement-breakpoint
CREATE TRIGGER `found_release_changed` AFTER UPDATE OF `title` ON `release` WHEN new.`title` <> old.`title` BEGIN UPDATE `findable` SET `title` = new.`title` WHERE `kind` = 'release' AND `item` = new.`id`; END;
--> statement-breakpoint
CREATE TRIGGER `found_release_out` AFTER DELETE ON `release` BEGIN DELETE FROM `findable` WHERE `kind` = 'release' AND `item` = old.`id`; END;
--> statement-breakpoint
CREATE TRIGGER `found_learner_in` AFTER INSERT ON `course_learner` BEGIN INSERT OR IGNORE INTO `findable` (`kind`, `item`, `place`, `title`, `words`) SELECT 'learner', `id`, new.`course_id`, `name`, coalesce(`display_username`, '') FROM `user` WHERE `id` = new.`learner_id`; END;
--> statement-breakpoint
CREATE TRIGGER `found_learner_out` AFTER DELETE ON `course_learner` BEGIN DELETE FROM `findable` WHERE `kind` = 'learner' AND `item` = old.`learner_id` AND `place` = old.`course_id`; END;
--> statement-breakpoint
CREATE TRIGGER `found_learner_changed` AFTER UPDATE OF `name`, `display_username` ON `user` WHEN new.`name` <> old.`name` OR new.`display_username` IS NOT old.`display_username` BEGIN UPDATE `findable` SET `title` = new.`name`, `words` = coalesce(new.`display_username`, '') WHERE `kind` = 'learner' AND `item` = new.`id`; END;
--> statement-breakpoint
-- What was there before.
INSERT INTO `findable` (`kind`, `item`, `place`, `title`, `words`) SELECT 'question', `question_id`, '', `title`, `words` || ' ' || `tags` FROM `question_words`;
--> statement-breakpoint
INSERT INTO `findable` (`kind`, `item`, `place`, `title`, `words`) SELECT 'set', `id`, '', `title`, '' FROM `question_set`;
--> statement-breakpoint
INSERT INTO `findable` (`kind`, `item`, `place`, `title`, `words`) SELECT 'course', `id`, `id`, `title`, '' FROM `course`;
--> statement-breakpoint
INSERT INTO `findable` (`kind`, `item`, `place`, `title`, `words`) SELECT 'release', `id`, `course_id`, `title`, '' FROM `release`;
--> statement-breakpoint
INSERT INTO `findable` (`kind`, `item`, `place`, `title`, `words`) SELECT 'learner', `user`.`id`, `course_learner`.`course_id`, `user`.`name`, coalesce(`user`.`display_username`, '') FROM `course_learner` JOIN `user` ON `user`.`id` = `course_learner`.`learner_id`;
