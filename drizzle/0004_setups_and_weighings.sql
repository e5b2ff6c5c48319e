CREATE TABLE `saved_setup` (
	`id` text PRIMARY KEY NOT NULL,
	`student_id` text NOT NULL,
	`setup_id` text NOT NULL,
	`options` text NOT NULL,
	`day` text NOT NULL,
	FOREIGN KEY (`student_id`) REFERENCES `student`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `saved_by_student` ON `saved_setup` (`student_id`);--> statement-breakpoint
CREATE TABLE `weighing` (
	`id` text PRIMARY KEY NOT NULL,
	`student_id` text NOT NULL,
	`shape_id` text NOT NULL,
	`share` real NOT NULL,
	`day` text NOT NULL,
	FOREIGN KEY (`student_id`) REFERENCES `student`(`id`) ON UPDATE no action ON DELETE cascade,
	CONSTRAINT "weighing_share" CHECK("weighing"."share" between 0 and 1.05)
);
--> statement-breakpoint
CREATE INDEX `weighing_by_student` ON `weighing` (`student_id`);