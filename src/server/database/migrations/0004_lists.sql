CREATE TABLE `stock_list` (
	`id` text PRIMARY KEY NOT NULL,
	`owner_id` text NOT NULL,
	`title` text NOT NULL,
	`rows` text NOT NULL,
	`created_at` integer NOT NULL,
	`changed_at` integer NOT NULL,
	FOREIGN KEY (`owner_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `list_of_owner` ON `stock_list` (`owner_id`,`changed_at`);