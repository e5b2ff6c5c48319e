CREATE TABLE `home_link` (
	`studio_id` text NOT NULL,
	`token_hash` text PRIMARY KEY NOT NULL,
	`student_id` text NOT NULL,
	`made` text NOT NULL,
	`expires` text NOT NULL,
	`revoked` integer DEFAULT false NOT NULL,
	FOREIGN KEY (`student_id`) REFERENCES `student`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `home_link_student` ON `home_link` (`student_id`);--> statement-breakpoint
CREATE TABLE `home_plan` (
	`studio_id` text NOT NULL,
	`id` text PRIMARY KEY NOT NULL,
	`student_id` text NOT NULL,
	`day` text NOT NULL,
	`made_ms` integer NOT NULL,
	`sheet` text NOT NULL,
	FOREIGN KEY (`student_id`) REFERENCES `student`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `home_plan_student` ON `home_plan` (`student_id`,`day`);--> statement-breakpoint
CREATE TABLE `home_tick` (
	`studio_id` text NOT NULL,
	`id` text PRIMARY KEY NOT NULL,
	`plan_id` text NOT NULL,
	`drill_id` text NOT NULL,
	`day` text NOT NULL,
	`tick` text,
	`via` text NOT NULL,
	`at_ms` integer NOT NULL,
	FOREIGN KEY (`plan_id`) REFERENCES `home_plan`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `home_tick_plan` ON `home_tick` (`plan_id`);