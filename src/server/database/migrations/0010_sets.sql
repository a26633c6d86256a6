ALTER TABLE `question_set` ADD `sections` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `sitting` ADD `edition` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `sitting` ADD `out_of` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `standing` ADD `points` real DEFAULT 0 NOT NULL;--> statement-breakpoint
UPDATE `question_set` SET `sections` = json_array(json_object('title', '', 'draw', json('null'), 'questions', json((SELECT json_group_array(json_object('id', q.`value`, 'points', json('null'))) FROM json_each(`question_set`.`questions`) q)))) WHERE json_array_length(`questions`) > 0;
--> statement-breakpoint
UPDATE `standing` SET `points` = `mark`;
--> statement-breakpoint
UPDATE `sitting` SET `out_of` = coalesce((SELECT sum(coalesce(json_extract(q.`value`, '$.marks.max'), 0)) FROM `edition` e, json_each(e.`content`, '$.questions') q WHERE e.`release_id` = `sitting`.`release_id` AND e.`number` = 1), 0);
--> statement-breakpoint
CREATE TRIGGER `move_in_edition` BEFORE INSERT ON `move` WHEN (SELECT `edition` FROM `sitting` WHERE `id` = NEW.`sitting_id`) <> NEW.`edition` BEGIN SELECT RAISE(ABORT, 'the sitting is of another edition'); END;
