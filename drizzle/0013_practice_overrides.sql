CREATE TABLE `practice_override` (
	`studio_id` text NOT NULL,
	`id` text PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`target` text NOT NULL,
	`fields` text,
	`by` text NOT NULL,
	`at_ms` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `practice_override_target` ON `practice_override` (`target`);