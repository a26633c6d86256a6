CREATE TABLE `removal` (
	`id` text PRIMARY KEY NOT NULL,
	`course_id` text NOT NULL,
	`kind` text NOT NULL,
	`content` text NOT NULL,
	`by` text NOT NULL,
	`at` integer NOT NULL,
	`undone_at` integer,
	FOREIGN KEY (`course_id`) REFERENCES `course`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`by`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `removal_of_course` ON `removal` (`course_id`);--> statement-breakpoint
CREATE TABLE `job` (
	`id` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`owner_id` text NOT NULL,
	`input` text NOT NULL,
	`state` text DEFAULT 'waiting' NOT NULL,
	`done` integer DEFAULT 0 NOT NULL,
	`total` integer DEFAULT 0 NOT NULL,
	`attempts` integer DEFAULT 0 NOT NULL,
	`leased_until` integer,
	`result` text,
	`created_at` integer NOT NULL,
	`finished_at` integer,
	FOREIGN KEY (`owner_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `job_to_do` ON `job` (`state`,`created_at`);--> statement-breakpoint
ALTER TABLE `course` ADD `revision` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `course` ADD `units_revision` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `course` ADD `categories_revision` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `course_group` ADD `revision` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `mark_override` ADD `out_of` real;--> statement-breakpoint
ALTER TABLE `release` ADD `revision` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `question_set` ADD `revision` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `stock_list` ADD `revision` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
UPDATE `mark_override` SET `out_of` = (SELECT s.`out_of` FROM `sitting` s WHERE s.`release_id` = `mark_override`.`release_id` AND s.`learner_id` = `mark_override`.`learner_id` ORDER BY s.`number` DESC LIMIT 1);
