DROP INDEX `jobs_one_open_a_brake`;--> statement-breakpoint
ALTER TABLE `jobs` ADD `closedAt` text;--> statement-breakpoint
CREATE UNIQUE INDEX `jobs_one_unended_a_brake` ON `jobs` (`brakeId`) WHERE "jobs"."releasedAt" is null and "jobs"."closedAt" is null;