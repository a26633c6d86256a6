CREATE TABLE `record_store` (
	`id` text PRIMARY KEY NOT NULL,
	`address` text NOT NULL,
	`key` text NOT NULL,
	`secret` text NOT NULL,
	`names` integer NOT NULL,
	`since` integer NOT NULL,
	`version` text DEFAULT '1.0.3' NOT NULL
);
--> statement-breakpoint
ALTER TABLE `release` ADD `pass_mark` integer;--> statement-breakpoint
-- What a learner did at a release may have changed: its statements wait for the record store, if there is one.
CREATE TRIGGER `statements_wait` INSTEAD OF INSERT ON `mark_changed` BEGIN
  INSERT INTO `outbox` (`kind`, `place`, `subject`, `at`, `due_at`)
    SELECT 'statement', `record_store`.`id`, NEW.`learner_id` || '/' || NEW.`release_id`, CAST(unixepoch('subsec') * 1000 AS INTEGER), 0
    FROM `record_store` WHERE true
    ON CONFLICT (`kind`, `place`, `subject`) DO UPDATE SET
      `version` = `version` + 1, `at` = max(excluded.`at`, `at` + 1), `state` = 'waiting', `tries` = 0, `due_at` = 0, `leased_until` = NULL, `reason` = '';
END;--> statement-breakpoint
-- Another try that earns no more is told too.
CREATE TRIGGER `statements_of_tries` AFTER UPDATE OF `tries` ON `sitting` WHEN NEW.`tries` IS NOT OLD.`tries` AND NEW.`points` IS OLD.`points` AND NEW.`ended` IS OLD.`ended` AND EXISTS (SELECT 1 FROM `record_store`) BEGIN INSERT INTO `mark_changed` VALUES (NEW.`release_id`, NEW.`learner_id`); END;--> statement-breakpoint
CREATE TRIGGER `statements_of_no_store` AFTER DELETE ON `record_store` BEGIN DELETE FROM `outbox` WHERE `kind` = 'statement' AND `place` = OLD.`id`; END;--> statement-breakpoint
CREATE TRIGGER `statements_of_nobody` AFTER DELETE ON `user` BEGIN DELETE FROM `outbox` WHERE `subject` >= OLD.`id` || '/' AND `subject` < OLD.`id` || '0' AND `kind` = 'statement'; END;--> statement-breakpoint
DROP TRIGGER IF EXISTS `security_event_what_on_insert`;--> statement-breakpoint
CREATE TRIGGER `security_event_what_on_insert` BEFORE INSERT ON `security_event` WHEN NEW.`what` NOT IN ('signedIn', 'signInRefused', 'accountLocked', 'signedOutEverywhere', 'passwordChanged', 'passwordReset', 'accountMade', 'adminGiven', 'adminTaken', 'secondFactorOn', 'secondFactorOff', 'rightRefused', 'installationChanged', 'platformAdded', 'platformRemoved', 'launchRefused', 'accountsJoined', 'keyTurned', 'recordStoreNamed', 'recordStoreRemoved', 'oneRosterTaken', 'tokenMade', 'tokenTakenBack') BEGIN SELECT RAISE(ABORT, 'not in the vocabulary of security_event.what'); END;--> statement-breakpoint
DROP TRIGGER IF EXISTS `security_event_what_on_update`;--> statement-breakpoint
CREATE TRIGGER `security_event_what_on_update` BEFORE UPDATE OF `what` ON `security_event` WHEN NEW.`what` NOT IN ('signedIn', 'signInRefused', 'accountLocked', 'signedOutEverywhere', 'passwordChanged', 'passwordReset', 'accountMade', 'adminGiven', 'adminTaken', 'secondFactorOn', 'secondFactorOff', 'rightRefused', 'installationChanged', 'platformAdded', 'platformRemoved', 'launchRefused', 'accountsJoined', 'keyTurned', 'recordStoreNamed', 'recordStoreRemoved', 'oneRosterTaken', 'tokenMade', 'tokenTakenBack') BEGIN SELECT RAISE(ABORT, 'not in the vocabulary of security_event.what'); END;
