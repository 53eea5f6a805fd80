CREATE TABLE `picture_pieces` (
	`room_id` text NOT NULL,
	`picture` text NOT NULL,
	`start` integer NOT NULL,
	`bytes` blob NOT NULL,
	PRIMARY KEY(`room_id`, `picture`, `start`)
);
--> statement-breakpoint
CREATE TABLE `pictures` (
	`room_id` text NOT NULL,
	`id` text NOT NULL,
	`size` integer NOT NULL,
	`sha256` text NOT NULL,
	`received` integer NOT NULL,
	`whole` integer NOT NULL,
	`saved_at` text NOT NULL,
	PRIMARY KEY(`room_id`, `id`)
);
