ALTER TABLE `attempt` ADD `setup_id` text;--> statement-breakpoint
ALTER TABLE `attempt` ADD `lead` text;--> statement-breakpoint
ALTER TABLE `attempt` ADD `seconds` real;--> statement-breakpoint
ALTER TABLE `observation` ADD `aid` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `observation` ADD `help` text DEFAULT 'alone' NOT NULL;--> statement-breakpoint
ALTER TABLE `observation` ADD `arms` text;--> statement-breakpoint
ALTER TABLE `observation` ADD `observer` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `observation` ADD `class_id` text REFERENCES class_session(id);--> statement-breakpoint
ALTER TABLE `offer_tap` ADD `reason` text;