CREATE TABLE `access_code` (
	`studio_id` text NOT NULL,
	`code_hash` text PRIMARY KEY NOT NULL,
	`role` text NOT NULL,
	`label` text NOT NULL,
	`expires_ms` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `account` (
	`studio_id` text NOT NULL,
	`id` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`login` text NOT NULL,
	`role` text NOT NULL,
	`pass_hash` text NOT NULL,
	`totp_seed` text,
	`totp_step` integer,
	`recovery` text,
	`made_ms` integer NOT NULL,
	`ended` integer DEFAULT false NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `account_login` ON `account` (`studio_id`,`login`);--> statement-breakpoint
CREATE TABLE `sign_in` (
	`studio_id` text NOT NULL,
	`token_hash` text PRIMARY KEY NOT NULL,
	`account_id` text,
	`label` text NOT NULL,
	`made_ms` integer NOT NULL,
	`seen_ms` integer NOT NULL,
	`locked` integer DEFAULT false NOT NULL,
	FOREIGN KEY (`account_id`) REFERENCES `account`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `trail` (
	`studio_id` text NOT NULL,
	`id` text PRIMARY KEY NOT NULL,
	`at_ms` integer NOT NULL,
	`account_id` text,
	`name` text NOT NULL,
	`what` text NOT NULL,
	`student_id` text
);
--> statement-breakpoint
CREATE INDEX `trail_at` ON `trail` (`studio_id`,`at_ms`);--> statement-breakpoint
CREATE INDEX `trail_student` ON `trail` (`student_id`);--> statement-breakpoint
CREATE TRIGGER `trail_stays` BEFORE DELETE ON `trail` BEGIN
	SELECT RAISE(ABORT, 'the trail is append-only');
END;
--> statement-breakpoint
CREATE TRIGGER `trail_as_written` BEFORE UPDATE ON `trail`
WHEN NEW.student_id IS NOT NULL OR NEW.studio_id <> OLD.studio_id OR NEW.id <> OLD.id OR NEW.at_ms <> OLD.at_ms OR NEW.account_id IS NOT OLD.account_id OR NEW.name <> OLD.name OR NEW.what <> OLD.what
BEGIN
	SELECT RAISE(ABORT, 'the trail is append-only');
END;
