CREATE TABLE `class_link` (
	`studio_id` text NOT NULL,
	`token_hash` text PRIMARY KEY NOT NULL,
	`class_id` text NOT NULL,
	`revoked` integer DEFAULT false NOT NULL,
	FOREIGN KEY (`class_id`) REFERENCES `class_session`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `class_link_class` ON `class_link` (`class_id`);