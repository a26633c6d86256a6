-- Editions and moves are the record of what was asked and answered: the database itself refuses to alter them.
CREATE TRIGGER `edition_unchangeable` BEFORE UPDATE ON `edition` BEGIN SELECT RAISE(ABORT, 'an edition cannot be changed'); END;
--> statement-breakpoint
CREATE TRIGGER `edition_kept` BEFORE DELETE ON `edition` BEGIN SELECT RAISE(ABORT, 'an edition cannot be deleted'); END;
--> statement-breakpoint
CREATE TRIGGER `move_unchangeable` BEFORE UPDATE ON `move` BEGIN SELECT RAISE(ABORT, 'a move cannot be changed'); END;
--> statement-breakpoint
CREATE TRIGGER `move_kept` BEFORE DELETE ON `move` BEGIN SELECT RAISE(ABORT, 'a move cannot be deleted'); END;
