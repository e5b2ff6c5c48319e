ALTER TABLE `student` ADD `age_band` text;--> statement-breakpoint
ALTER TABLE `student` ADD `guardian` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `student` ADD `guardian_day` text;