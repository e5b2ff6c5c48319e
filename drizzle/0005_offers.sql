CREATE TABLE `offer_tap` (
	`id` text PRIMARY KEY NOT NULL,
	`student_id` text NOT NULL,
	`stage_id` text NOT NULL,
	`answer` text NOT NULL,
	`by` text NOT NULL,
	`at_ms` integer NOT NULL,
	FOREIGN KEY (`student_id`) REFERENCES `student`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `offer_by_student` ON `offer_tap` (`student_id`);