ALTER TABLE `bicycles` ADD `code` text;--> statement-breakpoint
CREATE UNIQUE INDEX `bicycles_code_unique` ON `bicycles` (`code`);--> statement-breakpoint
ALTER TABLE `parts` ADD `price` real;