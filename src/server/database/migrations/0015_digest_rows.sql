-- A cache: what was in it is worked out again. A row a sitting now, and times without the check at the end.
DROP TABLE `digest`;--> statement-breakpoint
CREATE TABLE `digest` (
	`sitting_id` text PRIMARY KEY NOT NULL,
	`edition` integer NOT NULL,
	`upto` integer NOT NULL,
	`body` text NOT NULL,
	FOREIGN KEY (`sitting_id`) REFERENCES `sitting`(`id`) ON UPDATE no action ON DELETE no action
);
