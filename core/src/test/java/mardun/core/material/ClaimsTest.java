package mardun.core.material;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import mardun.core.material.Claims.Claim;
import mardun.core.material.Claims.Share;
import org.junit.jupiter.api.Test;

class ClaimsTest {

    private static Claim claim(String batch, long wanted, long reserved) {
        return new Claim(batch, Amount.pieces(wanted), Amount.pieces(reserved));
    }

    private static Share share(String batch, long gets, long shortBy) {
        return new Share(batch, Amount.pieces(gets), Amount.pieces(shortBy));
    }

    @Test
    void theBatchThatIsDueFirstIsServedFirst() {
        assertThat(Claims.shares(List.of(claim("1", 8, 0), claim("2", 8, 0)), Amount.pieces(10)))
                .containsExactly(share("1", 8, 0), share("2", 2, 6));
    }

    @Test
    void whatIsReservedIsHeldForItsBatch() {
        assertThat(Claims.shares(List.of(claim("1", 8, 0), claim("2", 8, 8)), Amount.pieces(10)))
                .containsExactly(share("1", 2, 6), share("2", 8, 0));
    }

    @Test
    void whatIsReservedButNoLongerThereIsShort() {
        assertThat(Claims.shares(List.of(claim("1", 8, 8), claim("2", 8, 8)), Amount.pieces(10)))
                .containsExactly(share("1", 8, 0), share("2", 2, 6));
        assertThat(Claims.shares(List.of(claim("1", 8, 8)), Amount.pieces(-3))).containsExactly(share("1", 0, 8));
    }

    @Test
    void nothingIsGivenTwiceAndNothingKeptBack() {
        Random random = new Random(11);
        for (int i = 0; i < 1000; i++) {
            List<Claim> claims = new ArrayList<>();
            for (int b = 0; b < 1 + random.nextInt(5); b++) {
                long wanted = random.nextInt(20);
                claims.add(claim("b" + b, wanted, random.nextInt((int) wanted + 1)));
            }
            long onHand = random.nextInt(60) - 10;
            List<Share> shares = Claims.shares(claims, Amount.pieces(onHand));
            long given =
                    shares.stream().mapToLong(share -> share.gets().value()).sum();
            long wanted =
                    claims.stream().mapToLong(claim -> claim.wanted().value()).sum();
            assertThat(given).isEqualTo(Math.min(wanted, Math.max(0, onHand)));
            for (int b = 0; b < claims.size(); b++) {
                assertThat(shares.get(b).gets().plus(shares.get(b).shortBy()))
                        .isEqualTo(claims.get(b).wanted());
            }
        }
    }
}
