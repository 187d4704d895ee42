package mardun.core.season;

/** Where a buyer meets a bag: at a fair's table, or in the online shop in the course of a week. */
public enum Outlet {
    FAIR,
    ONLINE
}
