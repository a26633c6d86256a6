CREATE TABLE `medium` (
	`hash` text NOT NULL,
	`owner_id` text NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`type` text NOT NULL,
	`weight` integer NOT NULL,
	`width` integer,
	`height` integer,
	`created_at` integer NOT NULL,
	PRIMARY KEY(`owner_id`, `hash`),
	FOREIGN KEY (`owner_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE no action
);
