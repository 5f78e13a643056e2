CREATE TABLE `workshop` (
	`id` integer PRIMARY KEY NOT NULL,
	`name` text DEFAULT '' NOT NULL,
	`address` text DEFAULT '' NOT NULL,
	`telephone` text DEFAULT '' NOT NULL
);
