CREATE TABLE `changes` (
	`id` integer PRIMARY KEY NOT NULL,
	`rack` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `hanging` (
	`brakeId` text PRIMARY KEY NOT NULL,
	`bicycleId` text NOT NULL,
	`end` text NOT NULL,
	`family` text NOT NULL,
	`jobId` text,
	`state` text NOT NULL,
	`isOut` integer NOT NULL,
	`station` text,
	`lookAgain` text,
	`touchedAt` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `hanging_by_bicycle` ON `hanging` (`bicycleId`);--> statement-breakpoint
CREATE INDEX `hanging_by_family` ON `hanging` (`family`,`bicycleId`);--> statement-breakpoint
CREATE INDEX `hanging_by_station` ON `hanging` (`station`,`bicycleId`);--> statement-breakpoint
CREATE TABLE `tags` (
	`n` integer PRIMARY KEY NOT NULL,
	`bicycleId` text NOT NULL,
	`name` text NOT NULL,
	`isRetired` integer DEFAULT false NOT NULL,
	`isOpen` integer DEFAULT false NOT NULL,
	`isOut` integer DEFAULT false NOT NULL,
	`isUnfit` integer DEFAULT false NOT NULL,
	`isReleased` integer DEFAULT false NOT NULL,
	`lookAgain` text,
	`touchedAt` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `tags_bicycleId_unique` ON `tags` (`bicycleId`);--> statement-breakpoint
CREATE INDEX `tags_by_name` ON `tags` ("name" COLLATE NOCASE,`bicycleId`);--> statement-breakpoint
CREATE INDEX `tags_by_touch` ON `tags` (`touchedAt`,`bicycleId`);--> statement-breakpoint
DROP INDEX `jobs_by_brake`;--> statement-breakpoint
CREATE INDEX `jobs_by_brake` ON `jobs` (`brakeId`,`number`);--> statement-breakpoint
CREATE INDEX `brakes_by_bicycle` ON `brakes` (`bicycleId`);
--> statement-breakpoint
CREATE VIRTUAL TABLE `tag_words` USING fts5(`words`, tokenize = "unicode61 remove_diacritics 2", prefix = '1 2 3');
--> statement-breakpoint
CREATE VIRTUAL TABLE `job_words` USING fts5(`words`, tokenize = "unicode61 remove_diacritics 2", prefix = '1 2 3');
--> statement-breakpoint
CREATE VIEW `hanging_now` AS
SELECT
	b.`id` AS `brakeId`,
	b.`bicycleId`,
	b.`end`,
	json_extract(b.`hardware`, '$.family') AS `family`,
	j.`id` AS `jobId`,
	CASE
		WHEN j.`id` IS NULL THEN 'none'
		WHEN j.`closedAt` IS NOT NULL THEN 'closed'
		WHEN j.`releasedAt` IS NOT NULL THEN 'released'
		ELSE 'open'
	END AS `state`,
	j.`id` IS NOT NULL AND j.`closedAt` IS NULL AND j.`releasedAt` IS NULL AND EXISTS (
		SELECT 1 FROM json_each(j.`summary`, '$.stations') AS s WHERE json_extract(s.value, '$.mark') IN ('low', 'high')
	) AS `isOut`,
	CASE WHEN j.`closedAt` IS NULL AND j.`releasedAt` IS NULL THEN json_extract(j.`summary`, '$.station') END AS `station`,
	CASE WHEN j.`closedAt` IS NULL AND j.`releasedAt` IS NOT NULL THEN json_extract(j.`summary`, '$.lookAgain') END AS `lookAgain`,
	coalesce(json_extract(j.`summary`, '$.last.at'), j.`closedAt`, j.`releasedAt`, j.`openedAt`, b.`createdAt`) AS `touchedAt`
FROM `brakes` AS b
LEFT JOIN `jobs` AS j ON j.`number` = (SELECT max(k.`number`) FROM `jobs` AS k WHERE k.`brakeId` = b.`id`)
WHERE b.`retiredAt` IS NULL;
--> statement-breakpoint
CREATE VIEW `tags_now` AS
SELECT
	b.`id` AS `bicycleId`,
	b.`name`,
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
CREATE VIEW `tag_texts` AS
SELECT
	t.`n`,
	b.`id` AS `bicycleId`,
	b.`name` || ' ' || coalesce(b.`code`, '') || ' ' || b.`description` || ' ' || coalesce((
		SELECT group_concat(h.`end` || ' ' || h.`family` || ' ' || coalesce(j.`number` || ' ' || j.`complaint`, ''), ' ' ORDER BY h.`end`)
		FROM `hanging` AS h LEFT JOIN `jobs` AS j ON j.`id` = h.`jobId` WHERE h.`bicycleId` = b.`id`
	), '') AS `words`
FROM `bicycles` AS b JOIN `tags` AS t ON t.`bicycleId` = b.`id`;
--> statement-breakpoint
CREATE VIEW `job_texts` AS
SELECT
	j.`number`,
	r.`bicycleId`,
	j.`number` || ' ' || j.`complaint` || ' ' || b.`name` || ' ' || coalesce(b.`code`, '') || ' ' || b.`description`
		|| ' ' || r.`end` || ' ' || json_extract(r.`hardware`, '$.family') AS `words`
FROM `jobs` AS j JOIN `brakes` AS r ON r.`id` = j.`brakeId` JOIN `bicycles` AS b ON b.`id` = r.`bicycleId`;
--> statement-breakpoint
INSERT INTO `changes` (`id`, `rack`) VALUES (1, 0);
--> statement-breakpoint
INSERT INTO `hanging` SELECT * FROM `hanging_now`;
--> statement-breakpoint
INSERT INTO `tags` (`bicycleId`, `name`, `isRetired`, `isOpen`, `isOut`, `isUnfit`, `isReleased`, `lookAgain`, `touchedAt`) SELECT * FROM `tags_now`;
--> statement-breakpoint
INSERT INTO `tag_words` (rowid, `words`) SELECT `n`, `words` FROM `tag_texts`;
--> statement-breakpoint
INSERT INTO `job_words` (rowid, `words`) SELECT `number`, `words` FROM `job_texts`;
--> statement-breakpoint
CREATE TRIGGER `bicycle_hung` AFTER INSERT ON `bicycles` BEGIN
	INSERT INTO `tags` (`bicycleId`, `name`, `isRetired`, `isOpen`, `isOut`, `isUnfit`, `isReleased`, `lookAgain`, `touchedAt`) SELECT * FROM `tags_now` WHERE `bicycleId` = NEW.`id`;
	INSERT INTO `tag_words` (rowid, `words`) SELECT `n`, `words` FROM `tag_texts` WHERE `bicycleId` = NEW.`id`;
	UPDATE `changes` SET `rack` = `rack` + 1;
END;
--> statement-breakpoint
CREATE TRIGGER `bicycle_named` AFTER UPDATE OF `name`, `code`, `description` ON `bicycles` BEGIN
	DELETE FROM `tag_words` WHERE rowid = (SELECT `n` FROM `tags` WHERE `bicycleId` = NEW.`id`);
	INSERT INTO `tag_words` (rowid, `words`) SELECT `n`, `words` FROM `tag_texts` WHERE `bicycleId` = NEW.`id`;
	DELETE FROM `job_words` WHERE rowid IN (
		SELECT j.`number` FROM `jobs` AS j JOIN `brakes` AS b ON b.`id` = j.`brakeId` WHERE b.`bicycleId` = NEW.`id`
	);
	INSERT INTO `job_words` (rowid, `words`) SELECT `number`, `words` FROM `job_texts` WHERE `bicycleId` = NEW.`id`;
END;
--> statement-breakpoint
CREATE TRIGGER `bicycle_changed` AFTER UPDATE ON `bicycles` BEGIN
	UPDATE `tags` SET (`name`, `isRetired`, `isOpen`, `isOut`, `isUnfit`, `isReleased`, `lookAgain`, `touchedAt`) = (
		SELECT `name`, `isRetired`, `isOpen`, `isOut`, `isUnfit`, `isReleased`, `lookAgain`, `touchedAt` FROM `tags_now` WHERE `tags_now`.`bicycleId` = `tags`.`bicycleId`
	) WHERE `bicycleId` = NEW.`id`;
	UPDATE `changes` SET `rack` = `rack` + 1;
END;
--> statement-breakpoint
CREATE TRIGGER `brake_hung` AFTER INSERT ON `brakes` BEGIN
	INSERT INTO `hanging` SELECT * FROM `hanging_now` WHERE `brakeId` = NEW.`id`;
	UPDATE `tags` SET (`name`, `isRetired`, `isOpen`, `isOut`, `isUnfit`, `isReleased`, `lookAgain`, `touchedAt`) = (
		SELECT `name`, `isRetired`, `isOpen`, `isOut`, `isUnfit`, `isReleased`, `lookAgain`, `touchedAt` FROM `tags_now` WHERE `tags_now`.`bicycleId` = `tags`.`bicycleId`
	) WHERE `bicycleId` = NEW.`bicycleId`;
	DELETE FROM `tag_words` WHERE rowid = (SELECT `n` FROM `tags` WHERE `bicycleId` = NEW.`bicycleId`);
	INSERT INTO `tag_words` (rowid, `words`) SELECT `n`, `words` FROM `tag_texts` WHERE `bicycleId` = NEW.`bicycleId`;
	UPDATE `changes` SET `rack` = `rack` + 1;
END;
--> statement-breakpoint
CREATE TRIGGER `brake_changed` AFTER UPDATE OF `retiredAt`, `hardware` ON `brakes` BEGIN
	DELETE FROM `hanging` WHERE `brakeId` = NEW.`id`;
	INSERT INTO `hanging` SELECT * FROM `hanging_now` WHERE `brakeId` = NEW.`id`;
	UPDATE `tags` SET (`name`, `isRetired`, `isOpen`, `isOut`, `isUnfit`, `isReleased`, `lookAgain`, `touchedAt`) = (
		SELECT `name`, `isRetired`, `isOpen`, `isOut`, `isUnfit`, `isReleased`, `lookAgain`, `touchedAt` FROM `tags_now` WHERE `tags_now`.`bicycleId` = `tags`.`bicycleId`
	) WHERE `bicycleId` = NEW.`bicycleId`;
	DELETE FROM `tag_words` WHERE rowid = (SELECT `n` FROM `tags` WHERE `bicycleId` = NEW.`bicycleId`);
	INSERT INTO `tag_words` (rowid, `words`) SELECT `n`, `words` FROM `tag_texts` WHERE `bicycleId` = NEW.`bicycleId`;
	UPDATE `changes` SET `rack` = `rack` + 1;
END;
--> statement-breakpoint
CREATE TRIGGER `job_opened` AFTER INSERT ON `jobs` BEGIN
	DELETE FROM `hanging` WHERE `brakeId` = NEW.`brakeId`;
	INSERT INTO `hanging` SELECT * FROM `hanging_now` WHERE `brakeId` = NEW.`brakeId`;
	UPDATE `tags` SET (`name`, `isRetired`, `isOpen`, `isOut`, `isUnfit`, `isReleased`, `lookAgain`, `touchedAt`) = (
		SELECT `name`, `isRetired`, `isOpen`, `isOut`, `isUnfit`, `isReleased`, `lookAgain`, `touchedAt` FROM `tags_now` WHERE `tags_now`.`bicycleId` = `tags`.`bicycleId`
	) WHERE `bicycleId` = (SELECT b.`bicycleId` FROM `brakes` AS b WHERE b.`id` = NEW.`brakeId`);
	DELETE FROM `tag_words` WHERE rowid = (
		SELECT t.`n` FROM `tags` AS t JOIN `brakes` AS b ON b.`bicycleId` = t.`bicycleId` WHERE b.`id` = NEW.`brakeId`
	);
	INSERT INTO `tag_words` (rowid, `words`)
		SELECT x.`n`, x.`words` FROM `tag_texts` AS x JOIN `brakes` AS b ON b.`bicycleId` = x.`bicycleId` WHERE b.`id` = NEW.`brakeId`;
	INSERT INTO `job_words` (rowid, `words`) SELECT `number`, `words` FROM `job_texts` WHERE `number` = NEW.`number`;
	UPDATE `changes` SET `rack` = `rack` + 1;
END;
--> statement-breakpoint
CREATE TRIGGER `job_changed` AFTER UPDATE OF `summary`, `releasedAt`, `closedAt` ON `jobs` BEGIN
	DELETE FROM `hanging` WHERE `brakeId` = NEW.`brakeId`;
	INSERT INTO `hanging` SELECT * FROM `hanging_now` WHERE `brakeId` = NEW.`brakeId`;
	UPDATE `tags` SET (`name`, `isRetired`, `isOpen`, `isOut`, `isUnfit`, `isReleased`, `lookAgain`, `touchedAt`) = (
		SELECT `name`, `isRetired`, `isOpen`, `isOut`, `isUnfit`, `isReleased`, `lookAgain`, `touchedAt` FROM `tags_now` WHERE `tags_now`.`bicycleId` = `tags`.`bicycleId`
	) WHERE `bicycleId` = (SELECT b.`bicycleId` FROM `brakes` AS b WHERE b.`id` = NEW.`brakeId`);
	UPDATE `changes` SET `rack` = `rack` + 1;
END;
