ALTER TABLE `course` ADD `lang` text;--> statement-breakpoint
ALTER TABLE `course` ADD `appearance` text DEFAULT 'paper' NOT NULL;