ALTER TABLE `course` ADD `zone` text;
