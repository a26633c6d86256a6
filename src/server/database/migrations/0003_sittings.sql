CREATE TABLE `question_set` (
	`id` text PRIMARY KEY NOT NULL,
	`owner_id` text NOT NULL,
	`title` text NOT NULL,
	`questions` text NOT NULL,
	`go_back` integer NOT NULL,
	`created_at` integer NOT NULL,
	`changed_at` integer NOT NULL,
	FOREIGN KEY (`owner_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `set_of_owner` ON `question_set` (`owner_id`,`changed_at`);--> statement-breakpoint
ALTER TABLE `release` ADD `due_at` integer;--> statement-breakpoint
ALTER TABLE `release` ADD `minutes` integer;--> statement-breakpoint
ALTER TABLE `sitting` ADD `reached` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `sitting` ADD `finished_at` integer;--> statement-breakpoint
CREATE TRIGGER `move_in_time` BEFORE INSERT ON `move` WHEN (SELECT `finished_at` FROM `sitting` WHERE `id` = NEW.`sitting_id`) IS NOT NULL BEGIN SELECT RAISE(ABORT, 'the sitting is finished'); END;
