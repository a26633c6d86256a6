CREATE TABLE `calendar_address` (
	`person_id` text PRIMARY KEY NOT NULL,
	`secret` text NOT NULL,
	`made_at` integer NOT NULL,
	FOREIGN KEY (`person_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `calendar_address_secret_unique` ON `calendar_address` (`secret`);--> statement-breakpoint
ALTER TABLE `course` ADD `release_defaults` text DEFAULT '{}' NOT NULL;--> statement-breakpoint
ALTER TABLE `release` ADD `set_id` text REFERENCES question_set(id) ON DELETE SET NULL;--> statement-breakpoint
ALTER TABLE `release` ADD `withdrawn_at` integer;--> statement-breakpoint
CREATE INDEX `release_of_set` ON `release` (`set_id`);--> statement-breakpoint
ALTER TABLE `question_set` ADD `deleted_at` integer;--> statement-breakpoint
CREATE TRIGGER `found_set_deleted` AFTER UPDATE OF `deleted_at` ON `question_set` WHEN new.`deleted_at` IS NOT NULL AND old.`deleted_at` IS NULL BEGIN DELETE FROM `findable` WHERE `kind` = 'set' AND `item` = new.`id` AND `place` = ''; END;
--> statement-breakpoint
CREATE TRIGGER `found_set_restored` AFTER UPDATE OF `deleted_at` ON `question_set` WHEN new.`deleted_at` IS NULL AND old.`deleted_at` IS NOT NULL BEGIN INSERT INTO `findable` (`kind`, `item`, `place`, `title`, `words`) VALUES ('set', new.`id`, '', new.`title`, ''); END;
