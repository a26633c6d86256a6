CREATE TABLE `access_token` (
	`id` text PRIMARY KEY NOT NULL,
	`person_id` text NOT NULL,
	`name` text NOT NULL,
	`hash` text NOT NULL,
	`scopes` text NOT NULL,
	`made_at` integer NOT NULL,
	`expires_at` integer NOT NULL,
	`used_at` integer,
	FOREIGN KEY (`person_id`) REFERENCES `user`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `access_token_hash_unique` ON `access_token` (`hash`);--> statement-breakpoint
CREATE INDEX `access_token_of` ON `access_token` (`person_id`);--> statement-breakpoint
DROP TRIGGER IF EXISTS `security_event_what_on_insert`;--> statement-breakpoint
CREATE TRIGGER `security_event_what_on_insert` BEFORE INSERT ON `security_event` WHEN NEW.`what` NOT IN ('signedIn', 'signInRefused', 'accountLocked', 'signedOutEverywhere', 'passwordChanged', 'passwordReset', 'accountMade', 'adminGiven', 'adminTaken', 'secondFactorOn', 'secondFactorOff', 'rightRefused', 'installationChanged', 'platformAdded', 'platformRemoved', 'launchRefused', 'accountsJoined', 'keyTurned', 'tokenMade', 'tokenTakenBack') BEGIN SELECT RAISE(ABORT, 'not in the vocabulary of security_event.what'); END;--> statement-breakpoint
DROP TRIGGER IF EXISTS `security_event_what_on_update`;--> statement-breakpoint
CREATE TRIGGER `security_event_what_on_update` BEFORE UPDATE OF `what` ON `security_event` WHEN NEW.`what` NOT IN ('signedIn', 'signInRefused', 'accountLocked', 'signedOutEverywhere', 'passwordChanged', 'passwordReset', 'accountMade', 'adminGiven', 'adminTaken', 'secondFactorOn', 'secondFactorOff', 'rightRefused', 'installationChanged', 'platformAdded', 'platformRemoved', 'launchRefused', 'accountsJoined', 'keyTurned', 'tokenMade', 'tokenTakenBack') BEGIN SELECT RAISE(ABORT, 'not in the vocabulary of security_event.what'); END;
