CREATE TABLE `digest` (
	`sitting_id` text NOT NULL,
	`question` integer NOT NULL,
	`edition` integer NOT NULL,
	`upto` integer NOT NULL,
	`body` text NOT NULL,
	PRIMARY KEY(`sitting_id`, `question`),
	FOREIGN KEY (`sitting_id`) REFERENCES `sitting`(`id`) ON UPDATE no action ON DELETE no action
);
