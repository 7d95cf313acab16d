ALTER TABLE "tokens" DROP CONSTRAINT "tokens_scope";--> statement-breakpoint
ALTER TABLE "tokens" ADD CONSTRAINT "tokens_scope" CHECK ("tokens"."scope" in ('read', 'write', 'calendar'));