CREATE TABLE `bins` (
	`id` text PRIMARY KEY NOT NULL,
	`title` text NOT NULL,
	`position` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `changes` (
	`id` text PRIMARY KEY NOT NULL,
	`at` text NOT NULL,
	`what` text NOT NULL,
	`undo` text NOT NULL,
	`undoneAt` text
);
--> statement-breakpoint
CREATE TABLE `evidence` (
	`id` text PRIMARY KEY NOT NULL,
	`sequence` integer NOT NULL,
	`learnerId` text NOT NULL,
	`at` text NOT NULL,
	`kind` text NOT NULL,
	`skill` text NOT NULL,
	`result` text,
	`correct` integer,
	`total` integer,
	`how` text,
	`support` text,
	`variantId` text,
	`planId` text,
	`items` text NOT NULL,
	`byRole` text NOT NULL,
	`byOwnChild` integer NOT NULL,
	`recordedAt` text NOT NULL,
	`retractedAt` text,
	`retractedBecause` text,
	FOREIGN KEY (`learnerId`) REFERENCES `learners`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `evidence_learner` ON `evidence` (`learnerId`,`at`);--> statement-breakpoint
CREATE UNIQUE INDEX `evidence_sequence` ON `evidence` (`sequence`);--> statement-breakpoint
CREATE TABLE `games` (
	`id` text PRIMARY KEY NOT NULL,
	`title` text NOT NULL,
	`binId` text,
	`source` text NOT NULL,
	`condition` text DEFAULT '' NOT NULL,
	`notes` text DEFAULT '' NOT NULL,
	`rules` text NOT NULL,
	`retiredAt` text,
	`version` integer DEFAULT 1 NOT NULL,
	`createdAt` text NOT NULL,
	FOREIGN KEY (`binId`) REFERENCES `bins`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `games_title` ON `games` (`title`);--> statement-breakpoint
CREATE TABLE `gather_ticks` (
	`planId` text NOT NULL,
	`item` text NOT NULL,
	`tickedAt` text NOT NULL,
	PRIMARY KEY(`planId`, `item`),
	FOREIGN KEY (`planId`) REFERENCES `plans`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `groups` (
	`id` text PRIMARY KEY NOT NULL,
	`title` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `groups_title_unique` ON `groups` (`title`);--> statement-breakpoint
CREATE TABLE `idempotency` (
	`key` text PRIMARY KEY NOT NULL,
	`route` text NOT NULL,
	`status` integer NOT NULL,
	`body` text NOT NULL,
	`createdAt` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `kinds` (
	`id` text PRIMARY KEY NOT NULL,
	`title` text NOT NULL,
	`alsoCalled` text NOT NULL,
	`unit` text NOT NULL,
	`smallParts` integer NOT NULL,
	`plentiful` integer NOT NULL,
	`caution` text,
	`shipped` integer NOT NULL,
	`quantity` integer DEFAULT 0 NOT NULL
);
--> statement-breakpoint
CREATE TABLE `learners` (
	`id` text PRIMARY KEY NOT NULL,
	`nickname` text NOT NULL,
	`born` text NOT NULL,
	`framework` text NOT NULL,
	`permanentSupports` text NOT NULL,
	`supportsInUse` text NOT NULL,
	`actions` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`createdAt` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `learners_nickname` ON `learners` (`nickname`);--> statement-breakpoint
CREATE TABLE `meetings` (
	`id` text PRIMARY KEY NOT NULL,
	`termId` text NOT NULL,
	`date` text NOT NULL,
	`startsAt` text NOT NULL,
	`rounds` integer NOT NULL,
	`minutes` integer NOT NULL,
	`tables` integer NOT NULL,
	`helpers` integer NOT NULL,
	`off` integer DEFAULT false NOT NULL,
	`offBecause` text,
	FOREIGN KEY (`termId`) REFERENCES `terms`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE UNIQUE INDEX `meetings_date` ON `meetings` (`termId`,`date`);--> statement-breakpoint
CREATE TABLE `memberships` (
	`id` text PRIMARY KEY NOT NULL,
	`learnerId` text NOT NULL,
	`groupId` text NOT NULL,
	`from_date` text NOT NULL,
	`to_date` text,
	FOREIGN KEY (`learnerId`) REFERENCES `learners`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`groupId`) REFERENCES `groups`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `memberships_learner` ON `memberships` (`learnerId`);--> statement-breakpoint
CREATE TABLE `plans` (
	`id` text PRIMARY KEY NOT NULL,
	`date` text NOT NULL,
	`request` text NOT NULL,
	`rounds` text NOT NULL,
	`locks` text NOT NULL,
	`status` text NOT NULL,
	`objective` real NOT NULL,
	`bound` real NOT NULL,
	`edited` integer DEFAULT false NOT NULL,
	`forecast` integer DEFAULT false NOT NULL,
	`playedAt` text,
	`version` integer DEFAULT 1 NOT NULL,
	`createdAt` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `plans_date` ON `plans` (`date`);--> statement-breakpoint
CREATE TABLE `settings` (
	`key` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `simulations` (
	`hash` text PRIMARY KEY NOT NULL,
	`result` text NOT NULL,
	`createdAt` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `terms` (
	`id` text PRIMARY KEY NOT NULL,
	`title` text NOT NULL,
	`starts` text NOT NULL,
	`ends` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `variant_materials` (
	`variantId` text NOT NULL,
	`kindId` text NOT NULL,
	`quantity` integer NOT NULL,
	PRIMARY KEY(`variantId`, `kindId`),
	FOREIGN KEY (`variantId`) REFERENCES `variants`(`id`) ON UPDATE no action ON DELETE cascade,
	FOREIGN KEY (`kindId`) REFERENCES `kinds`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `variants` (
	`id` text PRIMARY KEY NOT NULL,
	`gameId` text NOT NULL,
	`title` text NOT NULL,
	`mechanism` text,
	`parameters` text NOT NULL,
	`agesMin` real NOT NULL,
	`agesMax` real NOT NULL,
	`playersMin` integer NOT NULL,
	`playersMax` integer NOT NULL,
	`minutes` real NOT NULL,
	`helper` text DEFAULT 'nearby' NOT NULL,
	`preparationMinutes` real DEFAULT 0 NOT NULL,
	`declared` text NOT NULL,
	`retiredAt` text,
	`version` integer DEFAULT 1 NOT NULL,
	FOREIGN KEY (`gameId`) REFERENCES `games`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE INDEX `variants_game` ON `variants` (`gameId`);--> statement-breakpoint
CREATE UNIQUE INDEX `variants_title` ON `variants` (`gameId`,`title`);