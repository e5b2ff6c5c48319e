INSERT INTO `prop_item` SELECT lower(hex(randomblob(16))), 'tall-block', '', NULL, `blocks`, 'sound', NULL FROM `studio` WHERE `blocks` > 0;--> statement-breakpoint
INSERT INTO `prop_item` SELECT lower(hex(randomblob(16))), 'strap-medium', '', NULL, `straps`, 'sound', NULL FROM `studio` WHERE `straps` > 0;--> statement-breakpoint
INSERT INTO `assistant` SELECT lower(hex(randomblob(16))), `assistant`, '[]', NULL FROM `studio` WHERE `assistant` <> '';--> statement-breakpoint
UPDATE `studio` SET `room` = json_object(
	'widthCm', max(coalesce(`wall_cm`, 720), `bays` * 120), 'depthCm', 600, 'mats', json('[]'), 'doors', json('[]'), 'things', json('[]'),
	'bays', (
		WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < 12)
		SELECT json_group_array(json_object('id', 'bay-' || i, 'side', 'north', 'fromCm', (i - 1) * 120, 'widthCm', 120, 'obstacle', '', 'usable', json('true')))
		FROM n WHERE i <= `studio`.`bays`
	)
) WHERE `bays` > 0;--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_studio` (
	`id` integer PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`teacher` text NOT NULL,
	`room` text,
	`floor` text,
	`emergency` text,
	`pass_hash` text,
	`time_zone` text NOT NULL,
	`units` text NOT NULL,
	`demo_as_of` text,
	CONSTRAINT "studio_single" CHECK("__new_studio"."id" = 1)
);
--> statement-breakpoint
INSERT INTO `__new_studio`("id", "name", "teacher", "room", "floor", "emergency", "pass_hash", "time_zone", "units", "demo_as_of") SELECT "id", "name", "teacher", "room", "floor", "emergency", "pass_hash", "time_zone", "units", "demo_as_of" FROM `studio`;--> statement-breakpoint
DROP TABLE `studio`;--> statement-breakpoint
ALTER TABLE `__new_studio` RENAME TO `studio`;--> statement-breakpoint
PRAGMA foreign_keys=ON;