CREATE TABLE `allowance` (
	`release_id` text NOT NULL,
	`learner_id` text NOT NULL,
	`more_minutes` integer DEFAULT 0 NOT NULL,
	`due_at` integer,
	`closes_at` integer,
	`more_sittings` integer DEFAULT 0 NOT NULL,
	PRIMARY KEY(`release_id`, `learner_id`),
	FOREIGN KEY (`release_id`) REFERENCES `release`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`learner_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `audit` (
	`n` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`course_id` text NOT NULL,
	`release_id` text,
	`learner_id` text,
	`by` text NOT NULL,
	`at` integer NOT NULL,
	`what` text NOT NULL,
	`detail` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `audit_of_course` ON `audit` (`course_id`,`n`);--> statement-breakpoint
CREATE TABLE `category` (
	`id` text PRIMARY KEY NOT NULL,
	`course_id` text NOT NULL,
	`title` text NOT NULL,
	`weight` real NOT NULL,
	`position` integer NOT NULL,
	FOREIGN KEY (`course_id`) REFERENCES `course`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `category_of_course` ON `category` (`course_id`);--> statement-breakpoint
CREATE TABLE `course_group` (
	`id` text PRIMARY KEY NOT NULL,
	`course_id` text NOT NULL,
	`title` text NOT NULL,
	FOREIGN KEY (`course_id`) REFERENCES `course`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `group_of_course` ON `course_group` (`course_id`);--> statement-breakpoint
CREATE TABLE `course_teacher` (
	`course_id` text NOT NULL,
	`person_id` text NOT NULL,
	`added_at` integer NOT NULL,
	PRIMARY KEY(`course_id`, `person_id`),
	FOREIGN KEY (`course_id`) REFERENCES `course`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`person_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `course_of_teacher` ON `course_teacher` (`person_id`);--> statement-breakpoint
CREATE TABLE `group_member` (
	`group_id` text NOT NULL,
	`learner_id` text NOT NULL,
	PRIMARY KEY(`group_id`, `learner_id`),
	FOREIGN KEY (`group_id`) REFERENCES `course_group`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`learner_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `group_of_learner` ON `group_member` (`learner_id`);--> statement-breakpoint
CREATE TABLE `mark_override` (
	`release_id` text NOT NULL,
	`learner_id` text NOT NULL,
	`points` real NOT NULL,
	`reason` text NOT NULL,
	`by` text NOT NULL,
	`at` integer NOT NULL,
	PRIMARY KEY(`release_id`, `learner_id`),
	FOREIGN KEY (`release_id`) REFERENCES `release`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`learner_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`by`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `regrade` (
	`release_id` text NOT NULL,
	`edition` integer NOT NULL,
	`by` text NOT NULL,
	`at` integer NOT NULL,
	`changes` text NOT NULL,
	PRIMARY KEY(`release_id`, `edition`),
	FOREIGN KEY (`release_id`) REFERENCES `release`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`by`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `release_for` (
	`release_id` text NOT NULL,
	`group_id` text,
	`learner_id` text,
	FOREIGN KEY (`release_id`) REFERENCES `release`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`group_id`) REFERENCES `course_group`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`learner_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `release_for_one` ON `release_for` (`release_id`,`group_id`,`learner_id`);--> statement-breakpoint
CREATE TABLE `unit` (
	`id` text PRIMARY KEY NOT NULL,
	`course_id` text NOT NULL,
	`title` text NOT NULL,
	`position` integer NOT NULL,
	FOREIGN KEY (`course_id`) REFERENCES `course`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `unit_of_course` ON `unit` (`course_id`);--> statement-breakpoint
ALTER TABLE `course` ADD `archived_at` integer;--> statement-breakpoint
ALTER TABLE `course` ADD `join_code` text;--> statement-breakpoint
ALTER TABLE `course` ADD `join_until` integer;--> statement-breakpoint
CREATE UNIQUE INDEX `course_join_code_unique` ON `course` (`join_code`);--> statement-breakpoint
ALTER TABLE `edition` ADD `reason` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `edition` ADD `made_by` text;--> statement-breakpoint
ALTER TABLE `release` ADD `unit_id` text REFERENCES `unit`(`id`) ON DELETE SET NULL;--> statement-breakpoint
ALTER TABLE `release` ADD `opens_at` integer;--> statement-breakpoint
ALTER TABLE `release` ADD `closes_at` integer;--> statement-breakpoint
ALTER TABLE `release` ADD `sittings` integer DEFAULT 1;--> statement-breakpoint
ALTER TABLE `release` ADD `counts` text DEFAULT 'best' NOT NULL;--> statement-breakpoint
ALTER TABLE `release` ADD `practice` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `release` ADD `category_id` text REFERENCES `category`(`id`) ON DELETE SET NULL;--> statement-breakpoint
ALTER TABLE `release` ADD `tells` text DEFAULT 'modelAnswer' NOT NULL;--> statement-breakpoint
ALTER TABLE `release` ADD `tells_when` text DEFAULT 'atOnce' NOT NULL;--> statement-breakpoint
ALTER TABLE `release` ADD `everyone` integer DEFAULT true NOT NULL;--> statement-breakpoint
ALTER TABLE `release` ADD `edition` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `sitting` ADD `began` integer DEFAULT 1 NOT NULL;--> statement-breakpoint
UPDATE `release` SET `closes_at` = `due_at`, `due_at` = NULL;
--> statement-breakpoint
CREATE TRIGGER `audit_unchangeable` BEFORE UPDATE ON `audit` BEGIN SELECT RAISE(ABORT, 'what was recorded cannot be changed'); END;
--> statement-breakpoint
CREATE TRIGGER `audit_kept` BEFORE DELETE ON `audit` BEGIN SELECT RAISE(ABORT, 'what was recorded cannot be deleted'); END;
