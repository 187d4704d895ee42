/** Parcels and what posting them costs, takes and needs. */
package mardun.app.posting;
