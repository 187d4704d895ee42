package mardun.app.settings;

import java.time.LocalDate;

/** The maker's day: that of the machine on which Mardun runs, wherever the page is looked at. */
public record TodayView(LocalDate today) {}
