package bucina.store.svg;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.w3c.css.sac.DocumentHandler;
import org.w3c.css.sac.InputSource;
import org.w3c.css.sac.LexicalUnit;
import org.w3c.css.sac.SACMediaList;
import org.w3c.css.sac.SelectorList;

/** Hears what a style sheet holds and does nothing about it. */
class SilentHandler implements DocumentHandler {

    /** A part for some media begins or ends. */
    void media(List<String> media, boolean begins) {}

    /** Another sheet is wanted. */
    void imported(String address) {}

    @Override
    public void startDocument(InputSource source) {}

    @Override
    public void endDocument(InputSource source) {}

    @Override
    public void comment(String text) {}

    @Override
    public void ignorableAtRule(String rule) {}

    @Override
    public void namespaceDeclaration(String prefix, String uri) {}

    @Override
    public void importStyle(String uri, SACMediaList media, String defaultNamespace) {
        imported(uri);
    }

    @Override
    public void startMedia(SACMediaList media) {
        media(words(media), true);
    }

    @Override
    public void endMedia(SACMediaList media) {
        media(words(media), false);
    }

    private static List<String> words(SACMediaList media) {
        List<String> words = new ArrayList<>();
        for (int i = 0; i < media.getLength(); i++) {
            words.add(media.item(i).toLowerCase(Locale.ROOT));
        }
        return words;
    }

    @Override
    public void startPage(String name, String pseudo) {}

    @Override
    public void endPage(String name, String pseudo) {}

    @Override
    public void startFontFace() {}

    @Override
    public void endFontFace() {}

    @Override
    public void startSelector(SelectorList selectors) {}

    @Override
    public void endSelector(SelectorList selectors) {}

    @Override
    public void property(String name, LexicalUnit value, boolean important) {}
}
