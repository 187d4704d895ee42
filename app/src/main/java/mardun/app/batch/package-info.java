/**
 * Batches: what is made at once, of which bags and cloths, planned, released, worked through and finished. Read
 * {@link mardun.app.plan.BatchPlans} for how one is worked out.
 */
package mardun.app.batch;
