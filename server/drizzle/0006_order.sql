DROP VIEW `tags_now`;
--> statement-breakpoint
CREATE VIEW `tags_now` AS
SELECT
	b.`id` AS `bicycleId`,
	-- As it is put in order: each number in it is as long as the others, so that 2 comes before 10.
	(
		WITH RECURSIVE walk(rest, done) AS (
			SELECT b.`name`, ''
			UNION ALL
			SELECT
				CASE WHEN rest GLOB '[0-9]*' THEN ltrim(rest, '0123456789') ELSE substr(rest, 2) END,
				done || CASE
					WHEN rest GLOB '[0-9]*' THEN printf('%012d', substr(rest, 1, length(rest) - length(ltrim(rest, '0123456789'))))
					ELSE substr(rest, 1, 1)
				END
			FROM walk WHERE rest <> ''
		)
		SELECT done FROM walk WHERE rest = ''
	) AS `name`,
	b.`retiredAt` IS NOT NULL AS `isRetired`,
	EXISTS (SELECT 1 FROM `hanging` AS h WHERE h.`bicycleId` = b.`id` AND h.`state` = 'open') AS `isOpen`,
	EXISTS (SELECT 1 FROM `hanging` AS h WHERE h.`bicycleId` = b.`id` AND h.`isOut`) AS `isOut`,
	EXISTS (SELECT 1 FROM `hanging` AS h WHERE h.`bicycleId` = b.`id` AND h.`state` = 'closed') AS `isUnfit`,
	EXISTS (SELECT 1 FROM `hanging` AS h WHERE h.`bicycleId` = b.`id` AND h.`state` = 'released')
		AND NOT EXISTS (SELECT 1 FROM `hanging` AS h WHERE h.`bicycleId` = b.`id` AND h.`state` IN ('open', 'closed')) AS `isReleased`,
	(SELECT min(h.`lookAgain`) FROM `hanging` AS h WHERE h.`bicycleId` = b.`id`) AS `lookAgain`,
	coalesce((SELECT max(h.`touchedAt`) FROM `hanging` AS h WHERE h.`bicycleId` = b.`id`), b.`createdAt`) AS `touchedAt`
FROM `bicycles` AS b;
--> statement-breakpoint
UPDATE `tags` SET `name` = (SELECT t.`name` FROM `tags_now` AS t WHERE t.`bicycleId` = `tags`.`bicycleId`);
--> statement-breakpoint
UPDATE `changes` SET `rack` = `rack` + 1;
