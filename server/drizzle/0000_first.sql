CREATE TABLE `bicycles` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`description` text DEFAULT '' NOT NULL,
	`createdAt` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `brakes` (
	`id` text PRIMARY KEY NOT NULL,
	`bicycleId` text NOT NULL,
	`end` text NOT NULL,
	`hardware` text NOT NULL,
	`createdAt` text NOT NULL,
	FOREIGN KEY (`bicycleId`) REFERENCES `bicycles`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `brakes_one_an_end` ON `brakes` (`bicycleId`,`end`);--> statement-breakpoint
CREATE TABLE `entries` (
	`id` text PRIMARY KEY NOT NULL,
	`jobId` text NOT NULL,
	`seq` integer NOT NULL,
	`entry` text NOT NULL,
	FOREIGN KEY (`jobId`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `entries_in_order` ON `entries` (`jobId`,`seq`);--> statement-breakpoint
CREATE TABLE `jobs` (
	`id` text PRIMARY KEY NOT NULL,
	`number` integer NOT NULL,
	`brakeId` text NOT NULL,
	`complaint` text DEFAULT '' NOT NULL,
	`openedAt` text NOT NULL,
	`releasedAt` text,
	`summary` text NOT NULL,
	FOREIGN KEY (`brakeId`) REFERENCES `brakes`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `jobs_number_unique` ON `jobs` (`number`);--> statement-breakpoint
CREATE INDEX `jobs_by_brake` ON `jobs` (`brakeId`);--> statement-breakpoint
CREATE UNIQUE INDEX `jobs_one_open_a_brake` ON `jobs` (`brakeId`) WHERE "jobs"."releasedAt" is null;