<?php

declare(strict_types=1);

namespace Gnomic\Gather\Language;

/**
 * Words that stand in nearly every sentence of a language: articles, pronouns, prepositions, forms of "to be", and a few that every
 * visitor uses. From memory of the languages' grammars. What stands in several lists tells as much less.
 */
final class CommonWords
{
    private const WORDS = [
        'en' => 'the and is was were it we i you they he she of to in at on for with our my your his her this that these there not '
            .'no very but so from by are be been have has had would will again all some great good best nice lovely friendly '
            .'place what when who which about more than too out up an as or',
        'de' => 'der die das und ist war waren es wir ich sie er in im am an auf für mit unser unsere mein nicht kein keine sehr '
            .'aber so von zu zum zur den dem des ein eine einen einem einer sind haben hat hatte hatten wird wieder auch nur noch '
            .'schon bei aus nach über leider gut schön toll immer alles uns kann man wurde tolles tolle nette leute',
        'fr' => 'le la les et est était nous je vous ils elle il on de du des à au aux en dans pour avec notre mon ma ce cette ces '
            .'pas ne très mais un une par sont sur que qui plus trop tout toute bien avons été fait peu merci se sa son assez '
            .'beaucoup monde ça c\'est',
        'es' => 'el la los las y es fue era estaba nosotros yo nos se de del a al en para por con nuestro mi este esta no muy pero '
            .'un una que más todo toda bien hay su sus lo le son estuvo poco mucho mucha gracias también como sin si ya '
            .'volveremos vale caro hacía',
        'it' => 'il lo la i gli le e è era noi io ci si di del della dei delle a al alla in nel nella per con nostro mio questo '
            .'questa non molto ma un una che più tutto tutta bene sono su da dal anche come grazie ne poco troppo troppa abbiamo '
            .'stato stata gente ha',
        'pt' => 'o a os as e é foi era estava nós eu nos se de do da dos das ao em no na para por com nosso meu este esta não muito '
            .'mas um uma que mais tudo toda bem há seu sua são pouco muita gente obrigado também como sem vamos foram vale vimos',
        'nl' => 'de het een en is was waren wij we ik je zij hij van in op voor met onze mijn niet geen heel erg maar zo naar te aan '
            .'bij er dat dit zijn heeft hebben had wordt weer ook alles goed goede mooie leuk veel weinig om uit over als kan '
            .'jammer',
        'sv' => 'och är var vi jag de han hon det den en ett i på för med vår min inte mycket men så från till av att som har hade '
            .'blir igen också allt bra alla om mot trevlig helt god mat såg tack lite hos mer tyvärr kallt familjen',
        'da' => 'og er var vi jeg de han hun det den en et i på for med vores min ikke meget men så fra til af at som har havde '
            .'bliver igen også alt godt god alle om mod dejlig helt mad tak lidt hos mere desværre koldt blev utroligt familien',
        'nb' => 'og er var vi jeg de han hun det den en et i på for med vår min ikke veldig men så fra til av å at som har hadde '
            .'blir igjen også alt bra alle om mot hyggelig helt god godt mat takk litt hos mer dessverre kaldt ble utrolig '
            .'familien barna utsikten kveld',
        'fi' => 'ja on oli olivat me minä se ne hän ei erittäin todella mutta niin kaikki hyvä hieno myös kun että tai vain jos oli '
            .'ovat olemme meidän tämä kanssa sekä kiitos vähän liian paljon ihan uudelleen aina hyvin',
        'pl' => 'i jest był była było były my ja to ten ta nie bardzo ale tak z ze w we na do od dla za się że jak co po przez oraz '
            .'nasz mój są wszystko dobrze polecam mamy niestety już tylko też dużo mało warto gdzie niebo przy',
        'cs' => 'a je byl byla bylo byli my já to ten ta ne velmi ale tak z ze v ve na do od pro za se že jak co po přes náš můj '
            .'jsou vše všechno dobře jsme není bohužel už jen také moc málo hodně doporučuji u při ten určitě kde stojí',
        'sk' => 'a je bol bola bolo boli my ja to ten tá nie veľmi ale tak z zo v vo na do od pre za sa že ako čo po cez náš môj sú '
            .'všetko dobre sme bohužiaľ už len tiež veľa málo odporúčam u pri určite kde stojí',
        'hu' => 'a az és volt van voltak mi én ez egy nem nagyon de így is hogy meg csak már még minden jó szép el ki be fel le vagy '
            .'mert ha sok kevés köszönjük sajnos mint lesz vissza kicsit',
        'ro' => 'și este a fost erau noi eu de la în pe cu pentru din nu foarte dar un o al ale ai că mai tot toate bine am au sunt '
            .'se ne puțin cam care să vom ce fără cel mulțumim recomand',
        'tr' => 've bir bu çok ama için ile de da ne o biz ben mi daha en gibi her şey var yok değil kadar sonra iyi güzel '
            .'teşekkürler tekrar oldu olarak ki biraz hava manzara',
        'hr' => 'i je bio bila bilo su mi ja to taj ne jako vrlo ali tako iz u na do od za se da kao što po naš moj sve dobro smo '
            .'nije nažalost već samo također puno malo preporučujem hvala ili vrijedi prema lijepo gdje',
        'sl' => 'in je bil bila bilo so mi jaz to ta ne zelo ampak ali tako iz v na do od za se da kot kaj po naš moj vse dobro smo '
            .'ni žal že samo tudi veliko malo priporočam hvala vredno pri lepo kjer zagotovo',
        'et' => 'ja on oli olid meie ma mina see ei väga aga nii kõik hea ka kui et või ainult meil seda ning tuleme aitäh veel mis '
            .'natuke palju liiga tagasi',
        'lv' => 'un ir bija mēs es tas tā ne nav ļoti bet tik viss labi arī kad ka vai tikai ar no uz par pie mūsu paldies vēl kas '
            .'mazliet daudz',
        'lt' => 'ir yra buvo mes aš tai ne nėra labai bet taip viskas gerai taip pat kad ar tik su iš į apie prie mūsų ačiū dar kas '
            .'truputį daug per tikrai',
        'ca' => 'el la els les i és va era nosaltres jo ens es de del dels a al en per amb nostre meu aquest aquesta no molt però un '
            .'una que més tot tota bé hi ha seu són poc gràcies també com sense ser vam ho nit',
        'vi' => 'và là của có không rất một những chúng tôi này đó cho với được đã sẽ trong từ ở nhưng cũng như các người đến lại '
            .'nhiều hơn quá tuyệt vời',
        'id' => 'dan yang di ke dari untuk dengan kami saya ini itu tidak sangat tapi tetapi ada akan bisa sudah juga lagi pada '
            .'adalah kita sekali terima kasih karena anak lebih banyak kurang bagus kepada',
        'ru' => 'и в на не что это с по к из за у от о но как мы я он она они вы так очень был была было были есть всё все для до же '
            .'ещё еще уже или если только нам нас наш меня мне его её их спасибо хорошо место понравилось рекомендую время дети '
            .'детей детьми во бы сожалению немного много того тут там можно надо дорого персонал обязательно хорошее провели '
            .'красиво интересно отлично лучший прекрасный',
        'uk' => 'і й та в у на не що це з по до із за від о але як ми я він вона вони ви так дуже був була було були є все всі для ж '
            .'ще вже або якщо тільки нам нас наш мене мені його її їх дякую добре місце сподобалося рекомендую час діти дітей '
            .'дітьми жаль трохи багато того тут там можна треба дорого обов\'язково гарне',
        'be' => 'і й у ў на не што гэта з па да із за ад аб але як мы я ён яна яны вы так вельмі быў была было былі ёсць усё усе для '
            .'ж яшчэ ужо або калі толькі нам нас наш мяне мне яго яе іх дзякуй добра месца спадабалася час дзеці дзецьмі',
        'bg' => 'и в на не че това с със по към от за у до но как ние аз той тя те вие така много бях беше бяха е са съм сме има '
            .'няма все всички ще се си ли или ако само ни ми ви му го я благодаря добре място хареса препоръчвам време деца '
            .'децата още вече да малко съжаление гледката цялото отново хубаво',
        'mk' => 'и во на не дека тоа со по кон од за кај до но како ние јас тој таа тие вие така многу бев беше беа е се сум сме има '
            .'нема сите ќе си ли или ако само ни ми ви му го ја благодарам добро место времe деца децата уште веќе да малку '
            .'сигурно',
        'sr' => 'и у на не што то са по ка од за код до али како ми ја он она они ви тако веома много био била било били је су смо '
            .'има нема све сви ће се си ли или ако само нам нас му га хвала добро место време деца деци још већ да мало врло '
            .'према',
        'ar' => 'في من على إلى عن مع هذا هذه كان كانت جدا لا لم ما و أن التي الذي كل نحن أنا هو هي كما لكن ولكن لكنه المكان رائع '
            .'رائعة جميل شكرا كانوا قليلا',
        'fa' => 'و در به از که این آن را با است بود برای ما من خیلی هم نه یک های ها می شد شود بودند اما تا بر همه خوب عالی کمی '
            .'دوباره بسیار',
        'ur' => 'اور میں کے کی کا کو سے ہے ہیں تھا تھی تھے نے پر یہ وہ ہم بہت نہیں بھی ایک کر اچھا اچھی ساتھ لیکن',
        'hi' => 'और में के की का को से है हैं था थी थे ने पर यह वह हम बहुत नहीं भी एक कर अच्छा अच्छी साथ लेकिन यहाँ',
        'mr' => 'आणि मध्ये च्या ची चा ला आहे आहेत होता होती होते ने वर हा ही हे आम्ही खूप नाही पण एक करून चांगला छान सर्व परत',
        'ne' => 'र मा को का की लाई छ छन थियो थिए ले यो त्यो हामी धेरै छैन पनि एक गर्न राम्रो सबै फेरि',
    ];

    /** @var array<string, array<string, float>>|null weight of a word for a language, by word */
    private static ?array $weights = null;

    /**
     * How much the words of a text speak for each language.
     *
     * @param  list<string>  $words  in small letters
     * @param  list<string>  $languages  that are asked about
     * @return array<string, float> by language, 0 to the number of words
     */
    public static function speakFor(array $words, array $languages): array
    {
        $found = array_fill_keys($languages, 0.0);
        $weights = self::weights();
        foreach ($words as $word) {
            foreach (array_intersect_key($weights[$word] ?? [], $found) as $language => $weight) {
                $found[$language] += $weight;
            }
        }

        return $found;
    }

    /** @param  string  $word  in small letters */
    public static function has(string $word): bool
    {
        return mb_strlen($word) > 1 && isset(self::weights()[$word]);
    }

    /** @return array<string, array<string, float>> */
    private static function weights(): array
    {
        if (self::$weights === null) {
            $of = [];
            foreach (self::WORDS as $language => $words) {
                foreach (explode(' ', $words) as $word) {
                    $of[$word][$language] = 1.0;
                }
            }
            self::$weights = array_map(fn (array $found): array => array_map(fn (): float => 1 / count($found), $found), $of);
        }

        return self::$weights;
    }
}
