CREATE TABLE `crosswalk` (
	`frameworkId` text NOT NULL,
	`identifier` text NOT NULL,
	`skill` text NOT NULL,
	`relation` text NOT NULL,
	`acceptedAt` text NOT NULL,
	PRIMARY KEY(`frameworkId`, `identifier`, `skill`),
	FOREIGN KEY (`frameworkId`) REFERENCES `frameworks`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `expectations` (
	`frameworkId` text NOT NULL,
	`identifier` text NOT NULL,
	`code` text NOT NULL,
	`statement` text NOT NULL,
	`band` text,
	`parent` text,
	`position` integer NOT NULL,
	PRIMARY KEY(`frameworkId`, `identifier`),
	FOREIGN KEY (`frameworkId`) REFERENCES `frameworks`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `frameworks` (
	`id` text PRIMARY KEY NOT NULL,
	`title` text NOT NULL,
	`creator` text NOT NULL,
	`licence` text,
	`source` text NOT NULL,
	`createdAt` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `own_edges` (
	`skill` text NOT NULL,
	`needs` text NOT NULL,
	`sort` text NOT NULL,
	`createdAt` text NOT NULL,
	PRIMARY KEY(`skill`, `needs`)
);
--> statement-breakpoint
CREATE TABLE `own_skills` (
	`id` text PRIMARY KEY NOT NULL,
	`skill` text NOT NULL,
	`version` integer DEFAULT 1 NOT NULL,
	`createdAt` text NOT NULL
);
--> statement-breakpoint
ALTER TABLE `evidence` ADD `source` text;--> statement-breakpoint
ALTER TABLE `evidence` ADD `seconds` real;--> statement-breakpoint
ALTER TABLE `learners` ADD `goals` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `learners` ADD `withoutNorms` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `learners` ADD `accommodations` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `learners` ADD `likings` text DEFAULT '[]' NOT NULL;