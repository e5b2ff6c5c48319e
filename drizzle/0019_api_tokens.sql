CREATE TABLE `api_token` (
	`studio_id` text NOT NULL,
	`id` text PRIMARY KEY NOT NULL,
	`token_hash` text NOT NULL,
	`name` text NOT NULL,
	`scopes` text NOT NULL,
	`made_day` text NOT NULL,
	`last_day` text NOT NULL,
	`used_day` text,
	`ended` integer DEFAULT false NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `api_token_hash` ON `api_token` (`token_hash`);