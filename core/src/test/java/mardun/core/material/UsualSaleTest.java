package mardun.core.material;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import mardun.core.measure.LengthReader;
import mardun.core.measure.UnitSystem;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class UsualSaleTest {

    @ParameterizedTest
    @EnumSource(ClothKind.class)
    void everyClothHasAWidthThatCanBeReadInTheMakersUnits(ClothKind cloth) {
        for (UnitSystem system : UnitSystem.values()) {
            UsualSale sale = UsualSale.of(MaterialKind.CLOTH, Optional.of(cloth), system);

            assertThat(LengthReader.read(sale.width(), system.smallUnit()).isPositive())
                    .isTrue();
            assertThat(LengthReader.read(sale.per(), system.clothUnit()))
                    .isEqualTo(LengthReader.read("1", system.clothUnit()));
        }
    }

    @ParameterizedTest
    @EnumSource(MaterialKind.class)
    void onlyWhatIsWideHasAWidth(MaterialKind kind) {
        UsualSale sale = UsualSale.of(kind, Optional.empty(), UnitSystem.METRIC);

        assertThat(sale.per()).isNotBlank();
        assertThat(sale.width().isEmpty()).isEqualTo(!kind.isCloth());
    }
}
