CREATE TABLE `compared_codes` (
	`framework` text NOT NULL,
	`identifier` text NOT NULL,
	`at` text NOT NULL,
	PRIMARY KEY(`framework`, `identifier`)
);
