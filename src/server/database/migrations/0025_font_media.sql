-- A font is a medium, too: the vocabulary grows by a word.
DROP TRIGGER `medium_kind_on_insert`;--> statement-breakpoint
CREATE TRIGGER `medium_kind_on_insert` BEFORE INSERT ON `medium` WHEN NEW.`kind` NOT IN ('picture', 'sound', 'film', 'font') BEGIN SELECT RAISE(ABORT, 'not in the vocabulary of medium.kind'); END;--> statement-breakpoint
DROP TRIGGER `medium_kind_on_update`;--> statement-breakpoint
CREATE TRIGGER `medium_kind_on_update` BEFORE UPDATE OF `kind` ON `medium` WHEN NEW.`kind` NOT IN ('picture', 'sound', 'film', 'font') BEGIN SELECT RAISE(ABORT, 'not in the vocabulary of medium.kind'); END;
