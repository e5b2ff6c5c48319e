CREATE TABLE `approach_choice` (
	`scope` text NOT NULL,
	`scope_id` text NOT NULL,
	`approach` text NOT NULL,
	`option` text NOT NULL,
	`day` text NOT NULL,
	PRIMARY KEY(`scope`, `scope_id`, `approach`)
);
--> statement-breakpoint
CREATE TABLE `assistant` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`trained` text NOT NULL,
	`rests_until` text
);
--> statement-breakpoint
CREATE TABLE `class_group` (
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`weekday` integer NOT NULL,
	`start_time` text NOT NULL,
	`minutes` integer NOT NULL,
	CONSTRAINT "group_weekday" CHECK("class_group"."weekday" between 1 and 7)
);
--> statement-breakpoint
CREATE TABLE `group_member` (
	`group_id` text NOT NULL,
	`student_id` text NOT NULL,
	PRIMARY KEY(`group_id`, `student_id`),
	FOREIGN KEY (`group_id`) REFERENCES `class_group`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`student_id`) REFERENCES `student`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `incident` (
	`id` text PRIMARY KEY NOT NULL,
	`day` text NOT NULL,
	`time` text NOT NULL,
	`class_id` text,
	`student_id` text,
	`sealed` text NOT NULL,
	`written_day` text NOT NULL,
	FOREIGN KEY (`class_id`) REFERENCES `class_session`(`id`) ON UPDATE no action ON DELETE set null,
	FOREIGN KEY (`student_id`) REFERENCES `student`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `prop_item` (
	`id` text PRIMARY KEY NOT NULL,
	`shape` text NOT NULL,
	`local_name` text NOT NULL,
	`size_cm` text,
	`count` integer NOT NULL,
	`condition` text NOT NULL,
	`checked_day` text,
	CONSTRAINT "prop_count" CHECK("prop_item"."count" between 0 and 400),
	CONSTRAINT "prop_name" CHECK(length("prop_item"."local_name") <= 40)
);
--> statement-breakpoint
PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_class_decision` (
	`class_id` text NOT NULL,
	`student_id` text NOT NULL,
	`before` text NOT NULL,
	`after` text NOT NULL,
	`inputs_erased` integer DEFAULT false NOT NULL,
	PRIMARY KEY(`class_id`, `student_id`),
	FOREIGN KEY (`class_id`) REFERENCES `class_session`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
INSERT INTO `__new_class_decision`("class_id", "student_id", "before", "after", "inputs_erased") SELECT "class_id", "student_id", "before", "after", 0 FROM `class_decision`;--> statement-breakpoint
DROP TABLE `class_decision`;--> statement-breakpoint
ALTER TABLE `__new_class_decision` RENAME TO `class_decision`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
ALTER TABLE `class_roster` ADD `drop_in` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `class_roster` ADD `attended` text;--> statement-breakpoint
ALTER TABLE `class_session` ADD `group_id` text REFERENCES class_group(id) ON DELETE set null;--> statement-breakpoint
ALTER TABLE `student` ADD `contact` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `studio` ADD `room` text;--> statement-breakpoint
ALTER TABLE `studio` ADD `floor` text;--> statement-breakpoint
ALTER TABLE `studio` ADD `emergency` text;--> statement-breakpoint
ALTER TABLE `studio` ADD `pass_hash` text;