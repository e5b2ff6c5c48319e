CREATE TABLE `attempt` (
	`id` text PRIMARY KEY NOT NULL,
	`device_id` text NOT NULL,
	`device_seq` integer NOT NULL,
	`hlc` text NOT NULL,
	`day` text NOT NULL,
	`replaces` text,
	`withdrawn` integer DEFAULT false NOT NULL,
	`student_id` text NOT NULL,
	`stage_id` text NOT NULL,
	`level` text NOT NULL,
	`outcome` text NOT NULL,
	`exit_controlled` integer NOT NULL,
	`help` text NOT NULL,
	`faults` text NOT NULL,
	`ended_by` text,
	`class_id` text,
	FOREIGN KEY (`replaces`) REFERENCES `attempt`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`student_id`) REFERENCES `student`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`class_id`) REFERENCES `class_session`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `attempt_device` ON `attempt` (`device_id`,`device_seq`);--> statement-breakpoint
CREATE INDEX `attempt_student` ON `attempt` (`student_id`,`day`);--> statement-breakpoint
CREATE TABLE `class_decision` (
	`class_id` text NOT NULL,
	`student_id` text NOT NULL,
	`before` text NOT NULL,
	`after` text NOT NULL,
	PRIMARY KEY(`class_id`, `student_id`),
	FOREIGN KEY (`class_id`) REFERENCES `class_session`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`student_id`) REFERENCES `student`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `class_event` (
	`id` text PRIMARY KEY NOT NULL,
	`device_id` text NOT NULL,
	`device_seq` integer NOT NULL,
	`hlc` text NOT NULL,
	`day` text NOT NULL,
	`replaces` text,
	`withdrawn` integer DEFAULT false NOT NULL,
	`class_id` text NOT NULL,
	`kind` text NOT NULL,
	`at_ms` integer NOT NULL,
	`block_index` integer NOT NULL,
	FOREIGN KEY (`replaces`) REFERENCES `class_event`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`class_id`) REFERENCES `class_session`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `class_event_device` ON `class_event` (`device_id`,`device_seq`);--> statement-breakpoint
CREATE INDEX `class_event_class` ON `class_event` (`class_id`);--> statement-breakpoint
CREATE TABLE `class_roster` (
	`class_id` text NOT NULL,
	`student_id` text NOT NULL,
	PRIMARY KEY(`class_id`, `student_id`),
	FOREIGN KEY (`class_id`) REFERENCES `class_session`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`student_id`) REFERENCES `student`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `class_session` (
	`id` text PRIMARY KEY NOT NULL,
	`title` text NOT NULL,
	`day` text NOT NULL,
	`start_time` text NOT NULL,
	`minutes` integer NOT NULL,
	`bays` integer NOT NULL,
	`plan` text,
	`locks` text NOT NULL,
	CONSTRAINT "class_minutes" CHECK("class_session"."minutes" between 20 and 120),
	CONSTRAINT "class_bays" CHECK("class_session"."bays" between 1 and 12)
);
--> statement-breakpoint
CREATE TABLE `observation` (
	`id` text PRIMARY KEY NOT NULL,
	`device_id` text NOT NULL,
	`device_seq` integer NOT NULL,
	`hlc` text NOT NULL,
	`day` text NOT NULL,
	`replaces` text,
	`withdrawn` integer DEFAULT false NOT NULL,
	`student_id` text NOT NULL,
	`check_id` text NOT NULL,
	`single` real,
	`left` real,
	`right` real,
	`aided` integer NOT NULL,
	`valid` integer NOT NULL,
	`watched` integer NOT NULL,
	`faults` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`replaces`) REFERENCES `observation`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`student_id`) REFERENCES `student`(`id`) ON UPDATE no action ON DELETE cascade,
	CONSTRAINT "observation_has_value" CHECK("observation"."withdrawn" or "observation"."single" is not null or ("observation"."left" is not null and "observation"."right" is not null))
);
--> statement-breakpoint
CREATE UNIQUE INDEX `observation_device` ON `observation` (`device_id`,`device_seq`);--> statement-breakpoint
CREATE INDEX `observation_student` ON `observation` (`student_id`,`day`);--> statement-breakpoint
CREATE TABLE `placement` (
	`id` text PRIMARY KEY NOT NULL,
	`device_id` text NOT NULL,
	`device_seq` integer NOT NULL,
	`hlc` text NOT NULL,
	`day` text NOT NULL,
	`replaces` text,
	`withdrawn` integer DEFAULT false NOT NULL,
	`student_id` text NOT NULL,
	`stage_id` text,
	FOREIGN KEY (`replaces`) REFERENCES `placement`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`student_id`) REFERENCES `student`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `placement_device` ON `placement` (`device_id`,`device_seq`);--> statement-breakpoint
CREATE INDEX `placement_student` ON `placement` (`student_id`);--> statement-breakpoint
CREATE TABLE `student` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`stature_cm` real,
	`breath_s` real NOT NULL,
	`created_day` text NOT NULL,
	`archived_day` text,
	CONSTRAINT "student_name" CHECK(length("student"."name") between 1 and 80),
	CONSTRAINT "student_stature" CHECK("student"."stature_cm" is null or "student"."stature_cm" between 120 and 220),
	CONSTRAINT "student_breath" CHECK("student"."breath_s" between 2 and 12)
);
--> statement-breakpoint
CREATE TABLE `student_measure` (
	`student_id` text NOT NULL,
	`segment` text NOT NULL,
	`value_cm` real NOT NULL,
	`day` text NOT NULL,
	PRIMARY KEY(`student_id`, `segment`),
	FOREIGN KEY (`student_id`) REFERENCES `student`(`id`) ON UPDATE no action ON DELETE cascade,
	CONSTRAINT "measure_plausible" CHECK("student_measure"."value_cm" between 1 and 150)
);
--> statement-breakpoint
CREATE TABLE `studio` (
	`id` integer PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`teacher` text NOT NULL,
	`assistant` text NOT NULL,
	`wall_cm` real,
	`bays` integer NOT NULL,
	`straps` integer NOT NULL,
	`blocks` integer NOT NULL,
	`time_zone` text NOT NULL,
	`units` text NOT NULL,
	`demo_as_of` text,
	CONSTRAINT "studio_single" CHECK("studio"."id" = 1),
	CONSTRAINT "studio_counts" CHECK("studio"."bays" between 0 and 12 and "studio"."straps" between 0 and 200 and "studio"."blocks" between 0 and 400),
	CONSTRAINT "studio_wall" CHECK("studio"."wall_cm" is null or "studio"."wall_cm" between 60 and 10000)
);
