<?php

declare(strict_types=1);

namespace Tests\core;

use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\Node\Scalar\Int_;
use PhpParser\Node\Scalar\InterpolatedString;
use PhpParser\Node\Scalar\String_;
use PhpParser\Node\Stmt;
use ReflectionFunction;

/**
 * Finds what makes code depend on more than its arguments: the clock, chance, files, the network, the environment, output, the
 * framework. Judged by the syntax tree, and by lists of what is allowed: what they do not name is not.
 */
final class Purity
{
    private const NAMESPACES = ['Gnomic\\', 'Psr\\', 'Masterminds\\', 'Sabberworm\\', 'Symfony\\Component\\HtmlSanitizer\\',
        'Symfony\\Component\\CssSelector\\', 'JmesPath\\', 'League\\CommonMark\\'];

    /** PHP's own: values, errors, and parsers that are handed what they read. */
    private const CLASSES = ['BackedEnum', 'Closure', 'Countable', 'DateInterval', 'DateTimeImmutable', 'DateTimeInterface', 'DateTimeZone',
        'DomainException', 'DOMDocument', 'DOMElement', 'DOMNode', 'DOMNodeList', 'DOMText', 'DOMXPath', 'Error', 'Exception', 'Generator',
        'IntlBreakIterator', 'IntlChar', 'IntlDateFormatter', 'IntlDatePatternGenerator', 'InvalidArgumentException', 'Iterator', 'IteratorAggregate', 'JsonException',
        'JsonSerializable', 'LengthException', 'Locale', 'LogicException', 'MessageFormatter', 'Normalizer', 'NumberFormatter', 'Override', 'Transliterator',
        'OutOfBoundsException', 'OutOfRangeException', 'RangeException', 'RuntimeException', 'SensitiveParameter', 'SimpleXMLElement',
        'SplObjectStorage', 'SplPriorityQueue', 'SplQueue', 'stdClass', 'Stringable', 'Throwable', 'Traversable', 'TypeError', 'UConverter',
        'UnexpectedValueException', 'UnitEnum', 'ValueError', 'WeakMap', 'XMLReader', 'XMLWriter', 'ArrayIterator', 'ArrayAccess'];

    /** Extensions that work on what they are given. */
    private const EXTENSIONS = ['ctype', 'hash', 'json', 'mbstring', 'pcre', 'intl'];

    /** Families of functions of other extensions that do, by the beginnings of their names. */
    private const FAMILIES = ['array_', 'str_', 'grapheme_', 'inflate_', 'iterator_', 'libxml_', 'ctype_', 'is_'];

    private const FUNCTIONS = ['abs', 'arsort', 'asort', 'asin', 'acos', 'atan', 'atan2', 'base64_decode', 'base64_encode', 'bin2hex', 'bindec',
        'ceil', 'checkdate', 'chr', 'cos', 'count', 'crc32', 'current', 'decbin', 'dechex', 'deg2rad', 'end', 'exp', 'explode', 'fdiv', 'floor',
        'fmod', 'get_debug_type', 'get_object_vars', 'gzdecode', 'gzinflate', 'gzuncompress', 'hex2bin', 'hexdec', 'html_entity_decode',
        'htmlspecialchars', 'http_build_query', 'hypot', 'implode', 'in_array', 'intdiv', 'key', 'krsort', 'ksort', 'lcfirst', 'log', 'log10',
        'ltrim', 'max', 'md5', 'min', 'next', 'nl2br', 'number_format', 'ord', 'pack', 'parse_url', 'pathinfo', 'pi', 'pow', 'quoted_printable_decode',
        'rad2deg', 'range', 'rawurldecode', 'rawurlencode', 'reset', 'round', 'rsort', 'rtrim', 'sha1', 'simplexml_load_string', 'sin', 'sort',
        'spl_object_id', 'sprintf', 'sqrt', 'strcasecmp', 'strcmp', 'strcspn', 'strip_tags', 'stripos', 'stripslashes', 'strlen', 'strncasecmp',
        'strncmp', 'strnatcasecmp', 'strnatcmp', 'strpbrk', 'strpos', 'strrchr', 'strrev', 'strrpos', 'strspn', 'strstr', 'strtok', 'strtolower',
        'strtoupper', 'strtr', 'strval', 'substr', 'substr_compare', 'substr_count', 'substr_replace', 'tan', 'trim', 'uasort', 'ucfirst',
        'ucwords', 'uksort', 'unpack', 'urldecode', 'urlencode', 'usort', 'var_export', 'vsprintf', 'wordwrap', 'intval', 'floatval', 'boolval',
        'utf8_decode', 'array_walk', 'levenshtein', 'similar_text', 'soundex', 'metaphone', 'convert_uudecode', 'func_get_args', 'method_exists',
        'enum_exists', 'class_exists', 'is_a', 'is_subclass_of', 'compact'];

    /** Those of the families that ask for chance or files all the same. */
    private const NOT_OF_FAMILIES = ['array_rand', 'str_shuffle', 'is_file', 'is_dir', 'is_link', 'is_readable', 'is_writable', 'is_writeable',
        'is_executable', 'is_uploaded_file', 'libxml_set_streams_context', 'libxml_set_external_entity_loader'];

    /** Methods of the classes above that ask for more than their arguments. */
    private const METHODS = ['locale::getdefault', 'locale::setdefault', 'locale::acceptfromhttp', 'domdocument::load', 'domdocument::loadhtmlfile',
        'xmlreader::open', 'xmlwriter::openuri', 'xmlwriter::touri'];

    /** The same, called on an object: whose class is not known here, so that none of ours may be called so. */
    private const METHODS_OF_OBJECTS = ['loadhtmlfile', 'openuri', 'savehtmlfile', 'schemavalidate', 'relaxngvalidate'];

    private const STATEMENTS = [Stmt\InlineHTML::class => 'prints', Stmt\Echo_::class => 'prints', Expr\Print_::class => 'prints',
        Expr\Exit_::class => 'ends the process', Expr\Eval_::class => 'runs what is not written down', Expr\ShellExec::class => 'runs a program',
        Expr\Include_::class => 'reads a file', Stmt\Global_::class => 'reads what is nowhere handed to it'];

    /** @return list<string> what is not pure, each with its line; nothing where all of it is */
    public static function offences(string $code): array
    {
        $tree = SyntaxTree::of($code);
        $found = [];
        foreach (self::STATEMENTS as $kind => $does) {
            foreach ($tree->all($kind) as $node) {
                $found[] = "$does, in line {$node->getStartLine()}";
            }
        }
        foreach ($tree->classes() as $class => $line) {
            if (! self::isAllowed($class)) {
                $found[] = "uses $class, in line $line";
            }
        }
        foreach ($tree->all(Expr\FuncCall::class) as $call) {
            $name = self::calledBy($call);
            if ($name !== null && ! self::isPure($name)) {
                $found[] = "calls $name(), in line {$call->getStartLine()}";
            }
        }
        foreach ($tree->all(Expr\Variable::class) as $variable) {
            if (in_array($variable->name, ['_SERVER', '_GET', '_POST', '_ENV', '_COOKIE', '_FILES', '_REQUEST', '_SESSION', 'GLOBALS'], true)) {
                $found[] = "reads \${$variable->name}, in line {$variable->getStartLine()}";
            }
        }
        foreach ($tree->all(Expr\MethodCall::class) as $call) {
            if ($call->name instanceof Node\Identifier && in_array($call->name->toLowerString(), self::METHODS_OF_OBJECTS, true)) {
                $found[] = "calls {$call->name}(), in line {$call->getStartLine()}";
            }
        }

        return [...$found, ...self::clocks($tree)];
    }

    private static function isAllowed(string $class): bool
    {
        foreach (self::NAMESPACES as $namespace) {
            if (str_starts_with("$class\\", $namespace)) {
                return true;
            }
        }

        return in_array($class, self::CLASSES, true);
    }

    /** The function that a call names, in words or in the text of its first argument; null where it calls what it was handed. */
    private static function calledBy(Expr\FuncCall $call): ?string
    {
        $name = $call->name instanceof Node\Name ? $call->name->toLowerString() : null;
        $first = $call->args[0] ?? null;
        $isByName = in_array($name, ['call_user_func', 'call_user_func_array', 'array_map', 'is_callable'], true);

        return $isByName && $first instanceof Node\Arg && $first->value instanceof String_ ? strtolower($first->value->value) : $name;
    }

    private static function isPure(string $name): bool
    {
        $name = ltrim($name, '\\');
        if (in_array($name, self::FUNCTIONS, true)) {
            return true;
        }
        if (in_array($name, self::NOT_OF_FAMILIES, true) || ! function_exists($name)) {
            return false;
        }

        return in_array((new ReflectionFunction($name))->getExtensionName(), self::EXTENSIONS, true)
            || array_filter(self::FAMILIES, fn (string $family): bool => str_starts_with($name, $family)) !== [];
    }

    /** @return list<string> dates that are today's, and methods that ask for the host's settings */
    private static function clocks(SyntaxTree $tree): array
    {
        $found = [];
        foreach ($tree->all(Expr\New_::class) as $new) {
            if ($new->class instanceof Node\Name && $new->class->toString() === 'DateTimeImmutable' && ! self::isDated($new->args[0] ?? null)) {
                $found[] = "asks the clock, in line {$new->getStartLine()}";
            }
        }
        foreach ($tree->all(Expr\StaticCall::class) as $call) {
            if (! $call->class instanceof Node\Name || ! $call->name instanceof Node\Identifier) {
                continue;
            }
            $method = $call->class->toLowerString().'::'.$call->name->toLowerString();
            $format = $call->args[0] ?? null;
            $isTodays = $method === 'datetimeimmutable::createfromformat'
                && ! ($format instanceof Node\Arg && $format->value instanceof String_ && preg_match('/[!|]/', $format->value->value) === 1);
            if ($isTodays || in_array($method, self::METHODS, true)) {
                $found[] = "calls $method, in line {$call->getStartLine()}";
            }
        }

        return $found;
    }

    /** Whether a date begins with figures or an instant, or is one that was handed in. */
    private static function isDated(mixed $argument): bool
    {
        if (! $argument instanceof Node\Arg) {
            return false;
        }
        $value = $argument->value;
        $text = match (true) {
            $value instanceof String_ => $value->value,
            $value instanceof Expr\BinaryOp\Concat && $value->left instanceof String_ => $value->left->value,
            $value instanceof InterpolatedString && $value->parts[0] instanceof Node\InterpolatedStringPart => $value->parts[0]->value,
            default => null,
        };

        return $text === null
            ? ! $value instanceof Int_ && ! $value instanceof Expr\ConstFetch
            : preg_match('/^(?:@|\d{4}-\d{2}-\d{2})/', $text) === 1;
    }
}
