DROP INDEX `brakes_one_an_end`;--> statement-breakpoint
ALTER TABLE `brakes` ADD `retiredAt` text;--> statement-breakpoint
CREATE UNIQUE INDEX `brakes_one_hanging_an_end` ON `brakes` (`bicycleId`,`end`) WHERE "brakes"."retiredAt" is null;--> statement-breakpoint
ALTER TABLE `bicycles` ADD `retiredAt` text;