CREATE TABLE `picture_password` (
	`learner_id` text PRIMARY KEY NOT NULL,
	`hash` text NOT NULL,
	`set_at` integer NOT NULL,
	FOREIGN KEY (`learner_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
ALTER TABLE `course` ADD `picture_code` text;--> statement-breakpoint
CREATE UNIQUE INDEX `course_picture_code_unique` ON `course` (`picture_code`);