CREATE TABLE `morning_mail` (
	`person_id` text PRIMARY KEY NOT NULL,
	`address` text NOT NULL,
	`token` text,
	`confirmed_at` integer,
	`days` text NOT NULL,
	`hour` integer NOT NULL,
	`zone` text NOT NULL,
	`site` text NOT NULL,
	`next_at` integer NOT NULL,
	`sent_at` integer,
	`failed_at` integer,
	FOREIGN KEY (`person_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `morning_mail_next` ON `morning_mail` (`next_at`);