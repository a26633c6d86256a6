CREATE TABLE `set_question` (
	`set_id` text NOT NULL,
	`question_id` text NOT NULL,
	`section` integer NOT NULL,
	`position` integer NOT NULL,
	`points` real,
	PRIMARY KEY(`set_id`, `question_id`),
	FOREIGN KEY (`set_id`) REFERENCES `question_set`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`question_id`) REFERENCES `question`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `set_of_question` ON `set_question` (`question_id`);--> statement-breakpoint
INSERT INTO `set_question` (`set_id`, `question_id`, `section`, `position`, `points`) SELECT qs.`id`, q.value ->> '$.id', s.key, row_number() OVER (PARTITION BY qs.`id` ORDER BY s.key, q.key) - 1, q.value ->> '$.points' FROM `question_set` qs, json_each(qs.`sections`) s, json_each(s.value, '$.questions') q WHERE EXISTS (SELECT 1 FROM `question` WHERE `id` = q.value ->> '$.id');--> statement-breakpoint
UPDATE `question_set` SET `sections` = (SELECT json_group_array(json(json_remove(s.value, '$.questions')) ORDER BY s.key) FROM json_each(`question_set`.`sections`) s);
