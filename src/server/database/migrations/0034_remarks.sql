CREATE TABLE `grade_remark` (
	`release_id` text NOT NULL,
	`learner_id` text NOT NULL,
	`excused` integer NOT NULL,
	`note` text NOT NULL,
	`by` text NOT NULL,
	`at` integer NOT NULL,
	PRIMARY KEY(`release_id`, `learner_id`),
	FOREIGN KEY (`release_id`) REFERENCES `release`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`learner_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`by`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `grade_remark_of_learner` ON `grade_remark` (`learner_id`);--> statement-breakpoint
ALTER TABLE `course` ADD `letters` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
DROP TRIGGER `audit_what_on_insert`;--> statement-breakpoint
CREATE TRIGGER `audit_what_on_insert` BEFORE INSERT ON `audit` WHEN NEW.`what` NOT IN ('markSet', 'markSetBack', 'excused', 'editionMade', 'editionApplied', 'allowed', 'settings', 'erased', 'categories', 'removed', 'removalUndone', 'reopened') BEGIN SELECT RAISE(ABORT, 'not in the vocabulary of audit.what'); END;--> statement-breakpoint
DROP TRIGGER `audit_what_on_update`;--> statement-breakpoint
CREATE TRIGGER `audit_what_on_update` BEFORE UPDATE OF `what` ON `audit` WHEN NEW.`what` NOT IN ('markSet', 'markSetBack', 'excused', 'editionMade', 'editionApplied', 'allowed', 'settings', 'erased', 'categories', 'removed', 'removalUndone', 'reopened') BEGIN SELECT RAISE(ABORT, 'not in the vocabulary of audit.what'); END;