CREATE INDEX `allowance_of_learner` ON `allowance` (`learner_id`);--> statement-breakpoint
CREATE INDEX `mark_by_hand_of_learner` ON `mark_override` (`learner_id`);--> statement-breakpoint
CREATE INDEX `release_of_unit` ON `release` (`unit_id`);--> statement-breakpoint
CREATE INDEX `release_of_category` ON `release` (`category_id`);--> statement-breakpoint
CREATE INDEX `release_for_group` ON `release_for` (`group_id`);--> statement-breakpoint
CREATE INDEX `release_for_learner` ON `release_for` (`learner_id`);--> statement-breakpoint
CREATE INDEX `sitting_by_learner` ON `sitting` (`learner_id`);--> statement-breakpoint
CREATE INDEX `shelf_on_shelf` ON `shelf` (`parent_id`);