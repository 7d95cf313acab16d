CREATE TABLE "deleted_gardens" (
	"garden" uuid PRIMARY KEY NOT NULL
);
--> statement-breakpoint
ALTER TABLE "photos" ALTER COLUMN "image" DROP NOT NULL;