CREATE TABLE `sequence` (
	`studio_id` text NOT NULL,
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`made_day` text NOT NULL,
	`doc` text NOT NULL,
	CONSTRAINT "sequence_name" CHECK(length("sequence"."name") between 1 and 80)
);
--> statement-breakpoint
CREATE TABLE `sequence_person` (
	`studio_id` text NOT NULL,
	`sequence_id` text NOT NULL,
	`student_id` text NOT NULL,
	PRIMARY KEY(`sequence_id`, `student_id`),
	FOREIGN KEY (`sequence_id`) REFERENCES `sequence`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`student_id`) REFERENCES `student`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `sequence_person_student` ON `sequence_person` (`student_id`);