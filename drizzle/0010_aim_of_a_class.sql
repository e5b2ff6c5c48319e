PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_class_session` (
	`studio_id` text NOT NULL,
	`id` text PRIMARY KEY NOT NULL,
	`title` text NOT NULL,
	`day` text NOT NULL,
	`start_time` text NOT NULL,
	`minutes` integer NOT NULL,
	`bays` integer NOT NULL,
	`group_id` text,
	`aim` text,
	`fixed` text,
	FOREIGN KEY (`group_id`) REFERENCES `class_group`(`id`) ON UPDATE no action ON DELETE set null,
	CONSTRAINT "class_minutes" CHECK("__new_class_session"."minutes" between 20 and 120),
	CONSTRAINT "class_bays" CHECK("__new_class_session"."bays" between 0 and 12)
);
--> statement-breakpoint
INSERT INTO `__new_class_session`("studio_id", "id", "title", "day", "start_time", "minutes", "bays", "group_id") SELECT "studio_id", "id", "title", "day", "start_time", "minutes", "bays", "group_id" FROM `class_session`;--> statement-breakpoint
DROP TABLE `class_session`;--> statement-breakpoint
ALTER TABLE `__new_class_session` RENAME TO `class_session`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `class_by_day` ON `class_session` (`studio_id`,`day`,`start_time`);