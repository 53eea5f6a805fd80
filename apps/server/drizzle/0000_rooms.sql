CREATE TABLE `catalogue_entries` (
	`kind` text NOT NULL,
	`id` text NOT NULL,
	`position` integer NOT NULL,
	`entry` text NOT NULL,
	PRIMARY KEY(`kind`, `id`)
);
--> statement-breakpoint
CREATE TABLE `refused` (
	`edit_id` text PRIMARY KEY NOT NULL,
	`room_id` text NOT NULL,
	`base_version` integer NOT NULL,
	`at` text NOT NULL,
	`job` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `revisions` (
	`room_id` text NOT NULL,
	`version` integer NOT NULL,
	`edit_id` text NOT NULL,
	`saved_at` text NOT NULL,
	`touched` text NOT NULL,
	`job` text NOT NULL,
	PRIMARY KEY(`room_id`, `version`)
);
--> statement-breakpoint
CREATE INDEX `revisions_edit` ON `revisions` (`room_id`,`edit_id`);--> statement-breakpoint
CREATE TABLE `rooms` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`title` text NOT NULL,
	`saved_at` text NOT NULL,
	`job` text NOT NULL
);
