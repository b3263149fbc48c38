package app.tychon.server.programmes;

import java.util.Locale;
import org.springframework.core.convert.converter.Converter;
import org.springframework.stereotype.Component;

/** What is shown, in an address, by the word that bodies have for it. */
@Component
class ShownWord implements Converter<String, Shown> {
    @Override
    public Shown convert(String word) {
        return Shown.valueOf(word.toUpperCase(Locale.ROOT));
    }
}
