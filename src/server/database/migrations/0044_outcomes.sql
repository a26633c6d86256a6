CREATE TABLE `framework` (
	`id` text PRIMARY KEY NOT NULL,
	`identifier` text,
	`title` text NOT NULL,
	`owner_id` text NOT NULL,
	`at` integer NOT NULL,
	FOREIGN KEY (`owner_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `framework_identifier` ON `framework` (`identifier`);--> statement-breakpoint
CREATE INDEX `framework_of_owner` ON `framework` (`owner_id`);--> statement-breakpoint
CREATE TABLE `outcome` (
	`id` text PRIMARY KEY NOT NULL,
	`framework_id` text NOT NULL,
	`key` text NOT NULL,
	`code` text NOT NULL,
	`words` text NOT NULL,
	`parent_id` text,
	`position` integer NOT NULL,
	`withdrawn` integer DEFAULT false NOT NULL,
	FOREIGN KEY (`framework_id`) REFERENCES `framework`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `outcome_key` ON `outcome` (`framework_id`,`key`);--> statement-breakpoint
CREATE INDEX `outcome_in_order` ON `outcome` (`framework_id`,`position`);--> statement-breakpoint
CREATE TABLE `question_outcome` (
	`question_id` text NOT NULL,
	`outcome_id` text NOT NULL,
	PRIMARY KEY(`question_id`, `outcome_id`),
	FOREIGN KEY (`outcome_id`) REFERENCES `outcome`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `question_of_outcome` ON `question_outcome` (`outcome_id`);