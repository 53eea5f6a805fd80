CREATE TABLE `attempts` (
	`source` text PRIMARY KEY NOT NULL,
	`wrong` integer NOT NULL,
	`at` text NOT NULL,
	`locked_until` text DEFAULT '' NOT NULL
);
--> statement-breakpoint
CREATE TABLE `changes` (
	`n` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`room_id` text DEFAULT '' NOT NULL,
	`revision` text DEFAULT '' NOT NULL
);
--> statement-breakpoint
CREATE TABLE `devices` (
	`id` text PRIMARY KEY NOT NULL,
	`proof` text NOT NULL,
	`person` text NOT NULL,
	`name` text NOT NULL,
	`paired_at` text NOT NULL,
	`paired_by` text DEFAULT '' NOT NULL,
	`seen_on` text DEFAULT '' NOT NULL,
	`taken_out_at` text,
	`taken_out_by` text DEFAULT '' NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `devices_proof_unique` ON `devices` (`proof`);--> statement-breakpoint
CREATE TABLE `links` (
	`id` text PRIMARY KEY NOT NULL,
	`room_id` text NOT NULL,
	`proof` text NOT NULL,
	`made_at` text NOT NULL,
	`made_by` text DEFAULT '' NOT NULL,
	`withdrawn_at` text,
	`opened` integer DEFAULT 0 NOT NULL,
	`opened_at` text DEFAULT '' NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `links_proof_unique` ON `links` (`proof`);--> statement-breakpoint
CREATE INDEX `links_room` ON `links` (`room_id`);--> statement-breakpoint
CREATE TABLE `pairings` (
	`proof` text PRIMARY KEY NOT NULL,
	`made_by` text NOT NULL,
	`ends_at` text NOT NULL
);
--> statement-breakpoint
ALTER TABLE `refused` ADD `person` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `revisions` ADD `person` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `rooms` ADD `person` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `rooms` ADD `words` text DEFAULT '' NOT NULL;--> statement-breakpoint
CREATE INDEX `rooms_heads` ON `rooms` (`saved_at`,`id`,`title`,`words`,`version`,`revision`,`person`,`device`,`deleted_at`);--> statement-breakpoint
CREATE INDEX `rooms_deleted` ON `rooms` (`deleted_at`) WHERE deleted_at is not null;--> statement-breakpoint
UPDATE `rooms` SET `words` = lower(`title`);
