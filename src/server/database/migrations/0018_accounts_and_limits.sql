CREATE TABLE `installation` (
	`name` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `request_count` (
	`key` text PRIMARY KEY NOT NULL,
	`count` integer NOT NULL,
	`since` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `security_event` (
	`n` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`at` integer NOT NULL,
	`what` text NOT NULL,
	`user_id` text,
	`by` text,
	`address` text,
	`detail` text DEFAULT '' NOT NULL
);
--> statement-breakpoint
CREATE INDEX `security_event_at` ON `security_event` (`at`);--> statement-breakpoint
CREATE INDEX `security_event_user` ON `security_event` (`user_id`,`n`);--> statement-breakpoint
CREATE TABLE `two_factor` (
	`id` text PRIMARY KEY NOT NULL,
	`secret` text NOT NULL,
	`backup_codes` text NOT NULL,
	`user_id` text NOT NULL,
	`verified` integer DEFAULT true,
	`failed_verification_count` integer DEFAULT 0,
	`locked_until` integer,
	FOREIGN KEY (`user_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `two_factor_user` ON `two_factor` (`user_id`);--> statement-breakpoint
CREATE TABLE `course_invitation` (
	`course_id` text NOT NULL,
	`learner_id` text NOT NULL,
	`by` text NOT NULL,
	`at` integer NOT NULL,
	`groups` text DEFAULT '[]' NOT NULL,
	PRIMARY KEY(`course_id`, `learner_id`),
	FOREIGN KEY (`course_id`) REFERENCES `course`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`learner_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`by`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `invitation_of_learner` ON `course_invitation` (`learner_id`);--> statement-breakpoint
DROP INDEX `release_for_one`;--> statement-breakpoint
DELETE FROM `release_for` WHERE rowid NOT IN (SELECT min(rowid) FROM `release_for` GROUP BY `release_id`, coalesce(`group_id`, ''), coalesce(`learner_id`, ''));--> statement-breakpoint
CREATE UNIQUE INDEX `release_for_one` ON `release_for` (`release_id`,coalesce(`group_id`, ''),coalesce(`learner_id`, ''));--> statement-breakpoint
DROP TABLE `sign_in_failure`;--> statement-breakpoint
ALTER TABLE `user` ADD `is_admin` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `user` ADD `two_factor_enabled` integer DEFAULT false NOT NULL;