CREATE TABLE `moves` (
	`id` text PRIMARY KEY NOT NULL,
	`partId` text NOT NULL,
	`delta` integer NOT NULL,
	`jobId` text,
	`why` text DEFAULT '' NOT NULL,
	`by` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`partId`) REFERENCES `parts`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`jobId`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `moves_by_part` ON `moves` (`partId`);--> statement-breakpoint
CREATE INDEX `moves_by_job` ON `moves` (`jobId`);--> statement-breakpoint
CREATE TABLE `parts` (
	`id` text PRIMARY KEY NOT NULL,
	`code` text NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`dimensions` text NOT NULL,
	`material` text DEFAULT '' NOT NULL,
	`minimum` integer DEFAULT 0 NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `parts_code_unique` ON `parts` (`code`);