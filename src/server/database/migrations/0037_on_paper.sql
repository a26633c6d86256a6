ALTER TABLE `sitting` ADD `paper_variant` integer;--> statement-breakpoint
DROP TRIGGER `audit_what_on_insert`;--> statement-breakpoint
CREATE TRIGGER `audit_what_on_insert` BEFORE INSERT ON `audit` WHEN NEW.`what` NOT IN ('markSet', 'markSetBack', 'excused', 'editionMade', 'editionApplied', 'allowed', 'settings', 'erased', 'categories', 'removed', 'removalUndone', 'reopened', 'paperEntered') BEGIN SELECT RAISE(ABORT, 'not in the vocabulary of audit.what'); END;--> statement-breakpoint
DROP TRIGGER `audit_what_on_update`;--> statement-breakpoint
CREATE TRIGGER `audit_what_on_update` BEFORE UPDATE OF `what` ON `audit` WHEN NEW.`what` NOT IN ('markSet', 'markSetBack', 'excused', 'editionMade', 'editionApplied', 'allowed', 'settings', 'erased', 'categories', 'removed', 'removalUndone', 'reopened', 'paperEntered') BEGIN SELECT RAISE(ABORT, 'not in the vocabulary of audit.what'); END;
