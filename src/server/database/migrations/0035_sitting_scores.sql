ALTER TABLE `sitting` ADD `moves` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `sitting` ADD `acted` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `sitting` ADD `first_move_at` integer;--> statement-breakpoint
ALTER TABLE `sitting` ADD `last_move_at` integer;--> statement-breakpoint
ALTER TABLE `sitting` ADD `points` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `sitting` ADD `tries` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `sitting` ADD `ended` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
UPDATE `sitting` SET
	`moves` = coalesce((SELECT max(`n`) FROM `move` WHERE `sitting_id` = `sitting`.`id`), 0),
	`acted` = EXISTS (SELECT 1 FROM `move` WHERE `sitting_id` = `sitting`.`id` AND NOT `ending` AND `body` ->> '$.kind' IN ('drop', 'put', 'check')),
	(`first_move_at`, `last_move_at`) = (SELECT min(`at`), max(`at`) FROM `move` WHERE `sitting_id` = `sitting`.`id` AND NOT `ending`),
	(`points`, `tries`, `ended`) = (SELECT coalesce(sum(`points`), 0), coalesce(sum(`tries`), 0), coalesce(sum(`ended`), 0) FROM `standing` WHERE `sitting_id` = `sitting`.`id`);
