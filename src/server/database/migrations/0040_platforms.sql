CREATE TABLE `lti_context` (
	`id` text PRIMARY KEY NOT NULL,
	`platform_id` text NOT NULL,
	`deployment_id` text NOT NULL,
	`context_id` text NOT NULL,
	`course_id` text NOT NULL,
	`memberships_url` text,
	FOREIGN KEY (`platform_id`) REFERENCES `platform`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`course_id`) REFERENCES `course`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `lti_context_of` ON `lti_context` (`platform_id`,`deployment_id`,`context_id`);--> statement-breakpoint
CREATE INDEX `lti_context_course` ON `lti_context` (`course_id`);--> statement-breakpoint
CREATE TABLE `lti_launch` (
	`id` text PRIMARY KEY NOT NULL,
	`context_id` text NOT NULL,
	`person_id` text NOT NULL,
	`path` text NOT NULL,
	`ticket` text,
	`maybe` text,
	`deep_link` text,
	`expires_at` integer NOT NULL,
	FOREIGN KEY (`context_id`) REFERENCES `lti_context`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`person_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`maybe`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `lti_launch_expires` ON `lti_launch` (`expires_at`);--> statement-breakpoint
CREATE INDEX `lti_launch_context` ON `lti_launch` (`context_id`);--> statement-breakpoint
CREATE INDEX `lti_launch_person` ON `lti_launch` (`person_id`);--> statement-breakpoint
CREATE INDEX `lti_launch_maybe` ON `lti_launch` (`maybe`);--> statement-breakpoint
CREATE TABLE `lti_line` (
	`id` text PRIMARY KEY NOT NULL,
	`context_id` text NOT NULL,
	`release_id` text NOT NULL,
	`link_id` text NOT NULL,
	`url` text,
	`lines_url` text,
	`takes_scores` integer NOT NULL,
	FOREIGN KEY (`context_id`) REFERENCES `lti_context`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`release_id`) REFERENCES `release`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `lti_line_of` ON `lti_line` (`context_id`,`release_id`,`link_id`);--> statement-breakpoint
CREATE INDEX `lti_line_release` ON `lti_line` (`release_id`);--> statement-breakpoint
CREATE TABLE `lti_line_person` (
	`line_id` text NOT NULL,
	`learner_id` text NOT NULL,
	`sub` text NOT NULL,
	PRIMARY KEY(`line_id`, `learner_id`),
	FOREIGN KEY (`line_id`) REFERENCES `lti_line`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`learner_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `lti_line_of_learner` ON `lti_line_person` (`learner_id`);--> statement-breakpoint
CREATE TABLE `lti_login` (
	`id` text PRIMARY KEY NOT NULL,
	`platform_id` text NOT NULL,
	`nonce` text NOT NULL,
	`browser` text NOT NULL,
	`signed_in_as` text,
	`expires_at` integer NOT NULL,
	`used_at` integer,
	FOREIGN KEY (`platform_id`) REFERENCES `platform`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`signed_in_as`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `lti_login_expires` ON `lti_login` (`expires_at`);--> statement-breakpoint
CREATE INDEX `lti_login_platform` ON `lti_login` (`platform_id`);--> statement-breakpoint
CREATE INDEX `lti_login_person` ON `lti_login` (`signed_in_as`);--> statement-breakpoint
CREATE TABLE `lti_person` (
	`issuer` text NOT NULL,
	`sub` text NOT NULL,
	`role` text NOT NULL,
	`person_id` text NOT NULL,
	PRIMARY KEY(`issuer`, `sub`, `role`),
	FOREIGN KEY (`person_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `lti_person_of` ON `lti_person` (`person_id`);--> statement-breakpoint
CREATE TABLE `platform` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`issuer` text NOT NULL,
	`client_id` text NOT NULL,
	`auth_url` text NOT NULL,
	`token_url` text NOT NULL,
	`jwks_url` text NOT NULL,
	`created_at` integer NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `platform_client` ON `platform` (`issuer`,`client_id`);--> statement-breakpoint
CREATE TABLE `platform_deployment` (
	`platform_id` text NOT NULL,
	`deployment_id` text NOT NULL,
	PRIMARY KEY(`platform_id`, `deployment_id`),
	FOREIGN KEY (`platform_id`) REFERENCES `platform`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `outbox` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`place` text NOT NULL,
	`subject` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`at` integer NOT NULL,
	`state` text DEFAULT 'waiting' NOT NULL,
	`tries` integer DEFAULT 0 NOT NULL,
	`due_at` integer NOT NULL,
	`leased_until` integer,
	`reason` text DEFAULT '' NOT NULL,
	`body` text
);
--> statement-breakpoint
CREATE UNIQUE INDEX `outbox_of` ON `outbox` (`kind`,`place`,`subject`);--> statement-breakpoint
CREATE INDEX `outbox_due` ON `outbox` (`state`,`due_at`);--> statement-breakpoint
CREATE INDEX `outbox_subject` ON `outbox` (`subject`);--> statement-breakpoint
-- A mark may have changed: insert (release_id, learner_id), and a score waits at each line through which the learner was launched.
CREATE VIEW `mark_changed` AS SELECT `release_id`, `learner_id` FROM `mark_override` WHERE 0;--> statement-breakpoint
CREATE TRIGGER `score_waits` INSTEAD OF INSERT ON `mark_changed` BEGIN
  INSERT INTO `outbox` (`kind`, `place`, `subject`, `at`, `due_at`)
    SELECT 'score', `lti_line`.`id`, NEW.`learner_id`, CAST(unixepoch('subsec') * 1000 AS INTEGER), 0
    FROM `lti_line_person` JOIN `lti_line` ON `lti_line`.`id` = `lti_line_person`.`line_id`
    WHERE `lti_line_person`.`learner_id` = NEW.`learner_id` AND `lti_line`.`release_id` = NEW.`release_id` AND `lti_line`.`takes_scores`
    ON CONFLICT (`kind`, `place`, `subject`) DO UPDATE SET
      `version` = `version` + 1, `at` = max(excluded.`at`, `at` + 1), `state` = 'waiting', `tries` = 0, `due_at` = 0, `leased_until` = NULL, `reason` = '';
END;--> statement-breakpoint
CREATE TRIGGER `score_of_attempt` AFTER INSERT ON `sitting` BEGIN INSERT INTO `mark_changed` VALUES (NEW.`release_id`, NEW.`learner_id`); END;--> statement-breakpoint
CREATE TRIGGER `score_of_answers` AFTER UPDATE OF `finished_at`, `points`, `ended`, `out_of` ON `sitting` WHEN NEW.`finished_at` IS NOT OLD.`finished_at` OR NEW.`points` IS NOT OLD.`points` OR NEW.`ended` IS NOT OLD.`ended` OR NEW.`out_of` IS NOT OLD.`out_of` BEGIN INSERT INTO `mark_changed` VALUES (NEW.`release_id`, NEW.`learner_id`); END;--> statement-breakpoint
CREATE TRIGGER `score_by_hand_on_insert` AFTER INSERT ON `mark_override` BEGIN INSERT INTO `mark_changed` VALUES (NEW.`release_id`, NEW.`learner_id`); END;--> statement-breakpoint
CREATE TRIGGER `score_by_hand_on_update` AFTER UPDATE ON `mark_override` BEGIN INSERT INTO `mark_changed` VALUES (NEW.`release_id`, NEW.`learner_id`); END;--> statement-breakpoint
CREATE TRIGGER `score_by_hand_on_delete` AFTER DELETE ON `mark_override` BEGIN INSERT INTO `mark_changed` VALUES (OLD.`release_id`, OLD.`learner_id`); END;--> statement-breakpoint
CREATE TRIGGER `score_excused_on_insert` AFTER INSERT ON `grade_remark` BEGIN INSERT INTO `mark_changed` VALUES (NEW.`release_id`, NEW.`learner_id`); END;--> statement-breakpoint
CREATE TRIGGER `score_excused_on_update` AFTER UPDATE OF `excused` ON `grade_remark` BEGIN INSERT INTO `mark_changed` VALUES (NEW.`release_id`, NEW.`learner_id`); END;--> statement-breakpoint
CREATE TRIGGER `score_excused_on_delete` AFTER DELETE ON `grade_remark` BEGIN INSERT INTO `mark_changed` VALUES (OLD.`release_id`, OLD.`learner_id`); END;--> statement-breakpoint
CREATE TRIGGER `score_of_settings` AFTER UPDATE OF `counts`, `practice`, `withdrawn_at` ON `release` WHEN NEW.`counts` IS NOT OLD.`counts` OR NEW.`practice` IS NOT OLD.`practice` OR NEW.`withdrawn_at` IS NOT OLD.`withdrawn_at` BEGIN INSERT INTO `mark_changed` SELECT NEW.`id`, `learner_id` FROM `lti_line_person` JOIN `lti_line` ON `lti_line`.`id` = `line_id` WHERE `lti_line`.`release_id` = NEW.`id`; END;--> statement-breakpoint
CREATE TRIGGER `score_at_new_line` AFTER INSERT ON `lti_line_person` BEGIN INSERT INTO `mark_changed` SELECT `release_id`, NEW.`learner_id` FROM `lti_line` WHERE `id` = NEW.`line_id`; END;--> statement-breakpoint
CREATE TRIGGER `score_at_moved_line` AFTER UPDATE OF `url`, `takes_scores` ON `lti_line` WHEN (OLD.`url` IS NOT NULL AND NEW.`url` IS NOT OLD.`url`) OR NEW.`takes_scores` IS NOT OLD.`takes_scores` BEGIN INSERT INTO `mark_changed` SELECT NEW.`release_id`, `learner_id` FROM `lti_line_person` WHERE `line_id` = NEW.`id`; END;--> statement-breakpoint
CREATE TRIGGER `score_of_no_line` AFTER DELETE ON `lti_line_person` BEGIN DELETE FROM `outbox` WHERE `kind` = 'score' AND `place` = OLD.`line_id` AND `subject` = OLD.`learner_id`; END;--> statement-breakpoint
DROP TRIGGER IF EXISTS `outbox_state_on_insert`;--> statement-breakpoint
CREATE TRIGGER `outbox_state_on_insert` BEFORE INSERT ON `outbox` WHEN NEW.`state` NOT IN ('waiting', 'failed', 'arrived') BEGIN SELECT RAISE(ABORT, 'not in the vocabulary of outbox.state'); END;--> statement-breakpoint
DROP TRIGGER IF EXISTS `outbox_state_on_update`;--> statement-breakpoint
CREATE TRIGGER `outbox_state_on_update` BEFORE UPDATE OF `state` ON `outbox` WHEN NEW.`state` NOT IN ('waiting', 'failed', 'arrived') BEGIN SELECT RAISE(ABORT, 'not in the vocabulary of outbox.state'); END;--> statement-breakpoint
DROP TRIGGER IF EXISTS `security_event_what_on_insert`;--> statement-breakpoint
CREATE TRIGGER `security_event_what_on_insert` BEFORE INSERT ON `security_event` WHEN NEW.`what` NOT IN ('signedIn', 'signInRefused', 'accountLocked', 'signedOutEverywhere', 'passwordChanged', 'passwordReset', 'accountMade', 'adminGiven', 'adminTaken', 'secondFactorOn', 'secondFactorOff', 'rightRefused', 'installationChanged', 'platformAdded', 'platformRemoved', 'launchRefused', 'accountsJoined', 'keyTurned') BEGIN SELECT RAISE(ABORT, 'not in the vocabulary of security_event.what'); END;--> statement-breakpoint
DROP TRIGGER IF EXISTS `security_event_what_on_update`;--> statement-breakpoint
CREATE TRIGGER `security_event_what_on_update` BEFORE UPDATE OF `what` ON `security_event` WHEN NEW.`what` NOT IN ('signedIn', 'signInRefused', 'accountLocked', 'signedOutEverywhere', 'passwordChanged', 'passwordReset', 'accountMade', 'adminGiven', 'adminTaken', 'secondFactorOn', 'secondFactorOff', 'rightRefused', 'installationChanged', 'platformAdded', 'platformRemoved', 'launchRefused', 'accountsJoined', 'keyTurned') BEGIN SELECT RAISE(ABORT, 'not in the vocabulary of security_event.what'); END;
