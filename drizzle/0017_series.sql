CREATE TABLE `series` (
	`studio_id` text NOT NULL,
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`group_id` text NOT NULL,
	`family` text NOT NULL,
	`first_day` text NOT NULL,
	`focus` text NOT NULL,
	FOREIGN KEY (`group_id`) REFERENCES `class_group`(`id`) ON UPDATE no action ON DELETE cascade,
	CONSTRAINT "series_name" CHECK(length("series"."name") between 1 and 80)
);
