CREATE TABLE `figures` (
	`release_id` text PRIMARY KEY NOT NULL,
	`stamp` text NOT NULL,
	`edition` integer NOT NULL,
	`body` text NOT NULL,
	`at` integer NOT NULL,
	`took_ms` integer NOT NULL,
	FOREIGN KEY (`release_id`) REFERENCES `release`(`id`) ON UPDATE no action ON DELETE no action
);
