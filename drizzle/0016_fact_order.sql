CREATE INDEX `attempt_newest` ON `attempt` (`studio_id`,`day`,`hlc`);--> statement-breakpoint
CREATE INDEX `drill_class` ON `drill_done` (`class_id`);