package app.tychon.brief.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class LettersTest {
    @ParameterizedTest
    @ValueSource(
            strings = {
                "A winter that closes the road beyond the calendar",
                "Donaudampfschifffahrtsgesellschaftskapitänsmützenhersteller",
                "望遠鏡の主鏡を研磨する",
                "x"
            })
    void noLineIsWiderThanTheRoomAndNoLetterIsLost(String text) {
        List<String> lines = Letters.wrap(text, 90, 12, false);
        assertThat(lines)
                .allSatisfy(line -> assertThat(Letters.width(line, 12, false)).isLessThanOrEqualTo(90));
        assertThat(String.join("", lines).replace(" ", "")).isEqualTo(text.replace(" ", ""));
    }

    @Test
    void strongLettersAreWider() {
        assertThat(Letters.width("mountain", 12, true)).isGreaterThan(Letters.width("mountain", 12, false));
    }
}
