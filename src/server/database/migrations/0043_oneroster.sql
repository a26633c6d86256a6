CREATE TABLE `oneroster_account` (
	`source` text NOT NULL,
	`sourced_id` text NOT NULL,
	`role` text NOT NULL,
	`person_id` text NOT NULL,
	PRIMARY KEY(`source`, `sourced_id`, `role`),
	FOREIGN KEY (`person_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `oneroster_account_of_person` ON `oneroster_account` (`person_id`);--> statement-breakpoint
CREATE TABLE `oneroster_class` (
	`source` text NOT NULL,
	`sourced_id` text NOT NULL,
	`course_id` text NOT NULL,
	`title` text NOT NULL,
	`school` text NOT NULL,
	`term` text,
	`ends_on` text,
	`owner_id` text NOT NULL,
	`gone` integer DEFAULT false NOT NULL,
	PRIMARY KEY(`source`, `sourced_id`),
	FOREIGN KEY (`course_id`) REFERENCES `course`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `oneroster_class_of_course` ON `oneroster_class` (`course_id`);--> statement-breakpoint
CREATE TABLE `oneroster_enrolment` (
	`source` text NOT NULL,
	`sourced_id` text NOT NULL,
	`class_id` text NOT NULL,
	`user_id` text NOT NULL,
	`role` text NOT NULL,
	`is_primary` integer NOT NULL,
	`begins_on` text,
	`ends_on` text,
	`is_on` integer NOT NULL,
	PRIMARY KEY(`source`, `sourced_id`)
);
--> statement-breakpoint
CREATE INDEX `oneroster_enrolment_of_class` ON `oneroster_enrolment` (`source`,`class_id`);--> statement-breakpoint
CREATE INDEX `oneroster_enrolment_of_user` ON `oneroster_enrolment` (`source`,`user_id`);--> statement-breakpoint
CREATE TABLE `oneroster_user` (
	`source` text NOT NULL,
	`sourced_id` text NOT NULL,
	`name` text NOT NULL,
	`username` text NOT NULL,
	`enabled` integer NOT NULL,
	PRIMARY KEY(`source`, `sourced_id`)
);
--> statement-breakpoint
-- What a school's system said of somebody goes with their last account.
CREATE TRIGGER `oneroster_of_nobody` AFTER DELETE ON `oneroster_account` WHEN NOT EXISTS (SELECT 1 FROM `oneroster_account` `other` WHERE `other`.`source` = OLD.`source` AND `other`.`sourced_id` = OLD.`sourced_id`) BEGIN
  DELETE FROM `oneroster_user` WHERE `source` = OLD.`source` AND `sourced_id` = OLD.`sourced_id`;
  DELETE FROM `oneroster_enrolment` WHERE `source` = OLD.`source` AND `user_id` = OLD.`sourced_id`;
END;
