CREATE TABLE `erasing` (
	`course_id` text NOT NULL,
	`learner_id` text NOT NULL,
	PRIMARY KEY(`course_id`, `learner_id`)
);
--> statement-breakpoint
ALTER TABLE `regrade` ADD `spared` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
DROP TRIGGER `move_kept`;
--> statement-breakpoint
CREATE TRIGGER `move_kept` BEFORE DELETE ON `move` WHEN NOT EXISTS (SELECT 1 FROM `sitting` s JOIN `release` r ON r.`id` = s.`release_id` JOIN `erasing` e ON e.`course_id` = r.`course_id` AND e.`learner_id` = s.`learner_id` WHERE s.`id` = OLD.`sitting_id`) BEGIN SELECT RAISE(ABORT, 'a move cannot be deleted'); END;
--> statement-breakpoint
DROP TRIGGER `audit_unchangeable`;
--> statement-breakpoint
CREATE TRIGGER `audit_unchangeable` BEFORE UPDATE ON `audit` WHEN NOT (NEW.`detail` = '{}' AND NEW.`n` IS OLD.`n` AND NEW.`course_id` IS OLD.`course_id` AND NEW.`release_id` IS OLD.`release_id` AND NEW.`learner_id` IS OLD.`learner_id` AND NEW.`by` IS OLD.`by` AND NEW.`at` IS OLD.`at` AND NEW.`what` IS OLD.`what` AND EXISTS (SELECT 1 FROM `erasing` e WHERE e.`course_id` = OLD.`course_id` AND e.`learner_id` = OLD.`learner_id`)) BEGIN SELECT RAISE(ABORT, 'what was recorded cannot be changed'); END;
