ALTER TABLE `jobs` ADD `judgedAt` text;
--> statement-breakpoint
ALTER TABLE `changes` ADD `written` integer DEFAULT 0 NOT NULL;
--> statement-breakpoint
ALTER TABLE `changes` ADD `epoch` text DEFAULT '' NOT NULL;
--> statement-breakpoint
UPDATE `changes` SET `epoch` = lower(hex(randomblob(8)));
--> statement-breakpoint
DROP VIEW `tag_texts`;
--> statement-breakpoint
-- Put in order before they are joined: an older SQLite knows no order inside an aggregate.
CREATE VIEW `tag_texts` AS
SELECT
	t.`n`,
	b.`id` AS `bicycleId`,
	b.`name` || ' ' || coalesce(b.`code`, '') || ' ' || b.`description` || ' ' || coalesce((
		SELECT group_concat(`words`, ' ') FROM (
			SELECT h.`end` || ' ' || h.`family` || ' ' || coalesce(j.`number` || ' ' || j.`complaint`, '') AS `words`
			FROM `hanging` AS h LEFT JOIN `jobs` AS j ON j.`id` = h.`jobId` WHERE h.`bicycleId` = b.`id` ORDER BY h.`end`
		)
	), '') AS `words`
FROM `bicycles` AS b JOIN `tags` AS t ON t.`bicycleId` = b.`id`;
