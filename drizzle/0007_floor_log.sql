CREATE TABLE `attendance` (
	`studio_id` text NOT NULL,
	`id` text PRIMARY KEY NOT NULL,
	`device_id` text NOT NULL,
	`device_seq` integer NOT NULL,
	`hlc` text NOT NULL,
	`day` text NOT NULL,
	`replaces` text,
	`withdrawn` integer DEFAULT false NOT NULL,
	`class_id` text NOT NULL,
	`student_id` text NOT NULL,
	`mark` text,
	FOREIGN KEY (`replaces`) REFERENCES `attendance`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`class_id`) REFERENCES `class_session`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`student_id`) REFERENCES `student`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `attendance_class` ON `attendance` (`class_id`);--> statement-breakpoint
CREATE INDEX `attendance_student` ON `attendance` (`student_id`);--> statement-breakpoint
CREATE TABLE `class_plan` (
	`studio_id` text NOT NULL,
	`id` text PRIMARY KEY NOT NULL,
	`class_id` text NOT NULL,
	`version` integer NOT NULL,
	`made_ms` integer NOT NULL,
	`plan` text NOT NULL,
	`brief` text,
	FOREIGN KEY (`class_id`) REFERENCES `class_session`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `plan_of_class` ON `class_plan` (`class_id`,`version`);--> statement-breakpoint
CREATE TABLE `current_decision` (
	`studio_id` text NOT NULL,
	`student_id` text PRIMARY KEY NOT NULL,
	`day` text NOT NULL,
	`engine` text NOT NULL,
	`sealed` text NOT NULL,
	FOREIGN KEY (`student_id`) REFERENCES `student`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `drill_done` (
	`studio_id` text NOT NULL,
	`id` text PRIMARY KEY NOT NULL,
	`device_id` text NOT NULL,
	`device_seq` integer NOT NULL,
	`hlc` text NOT NULL,
	`day` text NOT NULL,
	`replaces` text,
	`withdrawn` integer DEFAULT false NOT NULL,
	`student_id` text NOT NULL,
	`drill_id` text NOT NULL,
	`class_id` text,
	`amount` real,
	FOREIGN KEY (`replaces`) REFERENCES `drill_done`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`student_id`) REFERENCES `student`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`class_id`) REFERENCES `class_session`(`id`) ON UPDATE no action ON DELETE set null
);
--> statement-breakpoint
CREATE INDEX `drill_student` ON `drill_done` (`student_id`,`day`);--> statement-breakpoint
CREATE INDEX `drill_replaces` ON `drill_done` (`replaces`);--> statement-breakpoint
CREATE TABLE `note` (
	`studio_id` text NOT NULL,
	`id` text PRIMARY KEY NOT NULL,
	`device_id` text NOT NULL,
	`device_seq` integer NOT NULL,
	`hlc` text NOT NULL,
	`day` text NOT NULL,
	`replaces` text,
	`withdrawn` integer DEFAULT false NOT NULL,
	`student_id` text,
	`class_id` text,
	`text` text NOT NULL,
	FOREIGN KEY (`replaces`) REFERENCES `note`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`student_id`) REFERENCES `student`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`class_id`) REFERENCES `class_session`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `note_student` ON `note` (`student_id`);--> statement-breakpoint
CREATE INDEX `note_class` ON `note` (`class_id`);--> statement-breakpoint
CREATE TABLE `plan_lock` (
	`studio_id` text NOT NULL,
	`id` text PRIMARY KEY NOT NULL,
	`device_id` text NOT NULL,
	`device_seq` integer NOT NULL,
	`hlc` text NOT NULL,
	`day` text NOT NULL,
	`replaces` text,
	`withdrawn` integer DEFAULT false NOT NULL,
	`class_id` text NOT NULL,
	`student_id` text NOT NULL,
	`part` text NOT NULL,
	`stage_id` text,
	`reason` text,
	FOREIGN KEY (`replaces`) REFERENCES `plan_lock`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`class_id`) REFERENCES `class_session`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`student_id`) REFERENCES `student`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `lock_of_class` ON `plan_lock` (`class_id`);--> statement-breakpoint
CREATE INDEX `lock_student` ON `plan_lock` (`student_id`);--> statement-breakpoint
DROP INDEX `attempt_device`;--> statement-breakpoint
ALTER TABLE `attempt` ADD `studio_id` text DEFAULT 'home' NOT NULL;--> statement-breakpoint
CREATE INDEX `attempt_replaces` ON `attempt` (`replaces`);--> statement-breakpoint
CREATE INDEX `attempt_class` ON `attempt` (`class_id`);--> statement-breakpoint
DROP INDEX `class_event_device`;--> statement-breakpoint
ALTER TABLE `class_event` ADD `studio_id` text DEFAULT 'home' NOT NULL;--> statement-breakpoint
CREATE INDEX `class_event_replaces` ON `class_event` (`replaces`);--> statement-breakpoint
DROP INDEX `observation_device`;--> statement-breakpoint
ALTER TABLE `observation` ADD `studio_id` text DEFAULT 'home' NOT NULL;--> statement-breakpoint
CREATE INDEX `observation_replaces` ON `observation` (`replaces`);--> statement-breakpoint
CREATE INDEX `observation_class` ON `observation` (`class_id`);--> statement-breakpoint
DROP INDEX `placement_device`;--> statement-breakpoint
ALTER TABLE `placement` ADD `studio_id` text DEFAULT 'home' NOT NULL;--> statement-breakpoint
CREATE INDEX `placement_replaces` ON `placement` (`replaces`);--> statement-breakpoint
CREATE TABLE `__new_approach_choice` (
	`studio_id` text NOT NULL,
	`scope` text NOT NULL,
	`scope_id` text NOT NULL,
	`approach` text NOT NULL,
	`option` text NOT NULL,
	`day` text NOT NULL,
	PRIMARY KEY(`studio_id`, `scope`, `scope_id`, `approach`)
);
--> statement-breakpoint
INSERT INTO `__new_approach_choice`("studio_id", "scope", "scope_id", "approach", "option", "day") SELECT 'home', "scope", "scope_id", "approach", "option", "day" FROM `approach_choice`;--> statement-breakpoint
DROP TABLE `approach_choice`;--> statement-breakpoint
ALTER TABLE `__new_approach_choice` RENAME TO `approach_choice`;--> statement-breakpoint
CREATE TABLE `__new_class_decision` (
	`studio_id` text NOT NULL,
	`class_id` text NOT NULL,
	`student_id` text NOT NULL,
	`version` integer NOT NULL,
	`before` text NOT NULL,
	`after` text NOT NULL,
	`inputs_erased` integer DEFAULT false NOT NULL,
	PRIMARY KEY(`class_id`, `student_id`, `version`),
	FOREIGN KEY (`class_id`) REFERENCES `class_session`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
INSERT INTO `__new_class_decision`("studio_id", "class_id", "student_id", "version", "before", "after", "inputs_erased") SELECT 'home', "class_id", "student_id", 1, "before", "after", "inputs_erased" FROM `class_decision`;--> statement-breakpoint
DROP TABLE `class_decision`;--> statement-breakpoint
ALTER TABLE `__new_class_decision` RENAME TO `class_decision`;--> statement-breakpoint
CREATE INDEX `decision_student` ON `class_decision` (`student_id`);--> statement-breakpoint
ALTER TABLE `assistant` ADD `studio_id` text DEFAULT 'home' NOT NULL;--> statement-breakpoint
ALTER TABLE `class_roster` ADD `studio_id` text DEFAULT 'home' NOT NULL;--> statement-breakpoint
CREATE INDEX `roster_student` ON `class_roster` (`student_id`);--> statement-breakpoint
INSERT INTO `attendance` (`studio_id`,`id`,`device_id`,`device_seq`,`hlc`,`day`,`withdrawn`,`class_id`,`student_id`,`mark`)
SELECT 'home', r.`class_id` || ' ' || r.`student_id`, 'before-the-floor-log', r.rowid, '000000000-0000-before', c.`day`, 0, r.`class_id`, r.`student_id`, r.`attended`
FROM `class_roster` r JOIN `class_session` c ON c.`id` = r.`class_id` WHERE r.`attended` IS NOT NULL;--> statement-breakpoint
ALTER TABLE `class_roster` DROP COLUMN `attended`;--> statement-breakpoint
ALTER TABLE `class_session` ADD `studio_id` text DEFAULT 'home' NOT NULL;--> statement-breakpoint
CREATE INDEX `class_by_day` ON `class_session` (`studio_id`,`day`,`start_time`);--> statement-breakpoint
INSERT INTO `class_plan` (`studio_id`,`id`,`class_id`,`version`,`made_ms`,`plan`,`brief`)
SELECT 'home', `id`, `id`, 1, 0, `plan`, NULL FROM `class_session` WHERE `plan` IS NOT NULL;--> statement-breakpoint
INSERT INTO `plan_lock` (`studio_id`,`id`,`device_id`,`device_seq`,`hlc`,`day`,`withdrawn`,`class_id`,`student_id`,`part`,`stage_id`,`reason`)
SELECT 'home', c.`id` || ' ' || l.key, 'before-the-floor-log', l.key, '000000000-' || printf('%04d', l.key) || '-before', c.`day`, 0, c.`id`,
  json_extract(l.value, '$.studentId'), json_extract(l.value, '$.part'), json_extract(l.value, '$.stageId'), json_extract(l.value, '$.reason')
FROM `class_session` c, json_each(c.`locks`) l
WHERE EXISTS (SELECT 1 FROM `student` s WHERE s.`id` = json_extract(l.value, '$.studentId'));--> statement-breakpoint
ALTER TABLE `class_session` DROP COLUMN `plan`;--> statement-breakpoint
ALTER TABLE `class_session` DROP COLUMN `locks`;--> statement-breakpoint
ALTER TABLE `class_group` ADD `studio_id` text DEFAULT 'home' NOT NULL;--> statement-breakpoint
ALTER TABLE `group_member` ADD `studio_id` text DEFAULT 'home' NOT NULL;--> statement-breakpoint
ALTER TABLE `health_record` ADD `studio_id` text DEFAULT 'home' NOT NULL;--> statement-breakpoint
ALTER TABLE `health_record` ADD `hlc` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `incident` ADD `studio_id` text DEFAULT 'home' NOT NULL;--> statement-breakpoint
ALTER TABLE `offer_tap` ADD `studio_id` text DEFAULT 'home' NOT NULL;--> statement-breakpoint
ALTER TABLE `prop_item` ADD `studio_id` text DEFAULT 'home' NOT NULL;--> statement-breakpoint
ALTER TABLE `saved_setup` ADD `studio_id` text DEFAULT 'home' NOT NULL;--> statement-breakpoint
ALTER TABLE `student` ADD `studio_id` text DEFAULT 'home' NOT NULL;--> statement-breakpoint
ALTER TABLE `student_measure` ADD `studio_id` text DEFAULT 'home' NOT NULL;--> statement-breakpoint
ALTER TABLE `studio` ADD `studio_id` text DEFAULT 'home' NOT NULL;--> statement-breakpoint
ALTER TABLE `studio` ADD `key_check` text;--> statement-breakpoint
ALTER TABLE `weighing` ADD `studio_id` text DEFAULT 'home' NOT NULL;--> statement-breakpoint
CREATE TRIGGER `observation_insert_renews` AFTER INSERT ON `observation` BEGIN DELETE FROM `current_decision` WHERE `student_id` = new.`student_id`; END;
--> statement-breakpoint
CREATE TRIGGER `observation_delete_renews` AFTER DELETE ON `observation` BEGIN DELETE FROM `current_decision` WHERE `student_id` = old.`student_id`; END;
--> statement-breakpoint
CREATE TRIGGER `attempt_insert_renews` AFTER INSERT ON `attempt` BEGIN DELETE FROM `current_decision` WHERE `student_id` = new.`student_id`; END;
--> statement-breakpoint
CREATE TRIGGER `attempt_delete_renews` AFTER DELETE ON `attempt` BEGIN DELETE FROM `current_decision` WHERE `student_id` = old.`student_id`; END;
--> statement-breakpoint
CREATE TRIGGER `placement_insert_renews` AFTER INSERT ON `placement` BEGIN DELETE FROM `current_decision` WHERE `student_id` = new.`student_id`; END;
--> statement-breakpoint
CREATE TRIGGER `placement_delete_renews` AFTER DELETE ON `placement` BEGIN DELETE FROM `current_decision` WHERE `student_id` = old.`student_id`; END;
--> statement-breakpoint
CREATE TRIGGER `health_insert_renews` AFTER INSERT ON `health_record` WHEN new.`kind` <> 'check-in' BEGIN DELETE FROM `current_decision` WHERE `student_id` = new.`student_id`; END;
--> statement-breakpoint
CREATE TRIGGER `health_delete_renews` AFTER DELETE ON `health_record` WHEN old.`kind` <> 'check-in' BEGIN DELETE FROM `current_decision` WHERE `student_id` = old.`student_id`; END;
--> statement-breakpoint
CREATE TRIGGER `approach_insert_renews` AFTER INSERT ON `approach_choice` WHEN new.`scope` <> 'class' BEGIN DELETE FROM `current_decision` WHERE `studio_id` = new.`studio_id` AND (new.`scope` = 'teacher' OR `student_id` = new.`scope_id`); END;
--> statement-breakpoint
CREATE TRIGGER `approach_update_renews` AFTER UPDATE ON `approach_choice` WHEN new.`scope` <> 'class' BEGIN DELETE FROM `current_decision` WHERE `studio_id` = new.`studio_id` AND (new.`scope` = 'teacher' OR `student_id` = new.`scope_id`); END;
--> statement-breakpoint
CREATE TRIGGER `approach_delete_renews` AFTER DELETE ON `approach_choice` WHEN old.`scope` <> 'class' BEGIN DELETE FROM `current_decision` WHERE `studio_id` = old.`studio_id` AND (old.`scope` = 'teacher' OR `student_id` = old.`scope_id`); END;
--> statement-breakpoint
CREATE TRIGGER `floor_insert_renews` AFTER INSERT ON `studio` BEGIN DELETE FROM `current_decision` WHERE `studio_id` = new.`studio_id`; END;
--> statement-breakpoint
CREATE TRIGGER `floor_update_renews` AFTER UPDATE ON `studio` BEGIN DELETE FROM `current_decision` WHERE `studio_id` = new.`studio_id`; END;
