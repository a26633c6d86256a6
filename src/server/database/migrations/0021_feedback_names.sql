ALTER TABLE `release` RENAME COLUMN `tells` TO `feedback_level`;--> statement-breakpoint
ALTER TABLE `release` RENAME COLUMN `tells_when` TO `feedback_time`;
