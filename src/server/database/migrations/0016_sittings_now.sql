CREATE TABLE `checkpoint` (
	`sitting_id` text NOT NULL,
	`question` integer NOT NULL,
	`edition` integer NOT NULL,
	`n` integer NOT NULL,
	`body` text NOT NULL,
	PRIMARY KEY(`sitting_id`, `question`),
	FOREIGN KEY (`sitting_id`) REFERENCES `sitting`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `move` ADD `ending` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `sitting` ADD `used_ms` integer;--> statement-breakpoint
ALTER TABLE `sitting` ADD `used_at` integer;--> statement-breakpoint
ALTER TABLE `sitting` ADD `reopened_after` integer DEFAULT 0 NOT NULL;