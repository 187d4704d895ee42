package mardun.app.settings;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import mardun.core.measure.InchStep;
import mardun.core.measure.UnitSystem;
import mardun.core.pricing.PricePoint;
import mardun.core.pricing.PriceSchool;

/**
 * The settings as they are typed. Money in the maker's currency, shares in per cent, lengths with or without a unit.
 *
 * @param version of the settings that the form was filled from
 * @param thickestSeam the thickest seam that the machine sews
 * @param freeHours hours free at the bench on each day of the week, Monday first
 */
public record SettingsForm(
        long version,
        @NotNull UnitSystem unitSystem,
        @NotNull InchStep inchStep,
        @NotNull String currency,
        @NotNull String hourlyRate,
        @NotNull String overheadPerHour,
        @NotNull String usualSeam,
        @NotNull String thickestSeam,
        @NotNull String stallShare,
        @NotNull String stallFee,
        @NotNull PriceSchool priceSchool,
        @NotNull String priceFactor,
        @NotNull String priceMargin,
        @NotNull String priceMarkup,
        @NotNull PricePoint pricePoint,
        @NotNull @Size(min = 7, max = 7) List<String> freeHours) {}
