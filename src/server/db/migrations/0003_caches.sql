CREATE TABLE `idempotency` (
	`key` text PRIMARY KEY NOT NULL,
	`route` text NOT NULL,
	`sent` text NOT NULL,
	`state` text NOT NULL,
	`status` integer,
	`body` text,
	`createdAt` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `idempotency_created` ON `idempotency` (`createdAt`);--> statement-breakpoint
CREATE TABLE `learner_states` (
	`learnerId` text PRIMARY KEY NOT NULL,
	`stamp` text NOT NULL,
	`notes` integer NOT NULL,
	`lastSequence` integer NOT NULL,
	`state` blob NOT NULL,
	FOREIGN KEY (`learnerId`) REFERENCES `learners`(`id`) ON UPDATE no action ON DELETE cascade
);
--> statement-breakpoint
CREATE TABLE `simulations` (
	`hash` text PRIMARY KEY NOT NULL,
	`task` text NOT NULL,
	`summary` text NOT NULL,
	`result` blob NOT NULL,
	`usedAt` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `simulations_task` ON `simulations` (`task`);--> statement-breakpoint
CREATE INDEX `simulations_used` ON `simulations` (`usedAt`);