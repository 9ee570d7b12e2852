<?php

declare(strict_types=1);

namespace App\People;

use Closure;
use Gnomic\Json\Value;
use Illuminate\Contracts\Validation\ValidationRule;

/**
 * Long enough, and none of those that everybody tries first (NIST SP 800-63B, §5.1.1.2): the list is that of a package, in
 * resources/passwords.
 */
final readonly class GoodPassword implements ValidationRule
{
    private const LEAST = 10;

    /** Bytes; bcrypt hears no more. */
    private const MOST = 72;

    /** @param  string  $email  of whom it is to be */
    public function __construct(private string $email)
    {
    }

    public function validate(string $attribute, mixed $value, Closure $fail): void
    {
        $why = $this->wrong(Value::text($value));
        if ($why !== null) {
            $fail($why);
        }
    }

    /** Why it is not taken; null where it is. */
    public function wrong(string $password): ?string
    {
        $low = mb_strtolower(trim($password));
        // "Password1!" is "password" for whoever guesses.
        $bare = (string) preg_replace('/^[^a-z]+|[^a-z]+$/', '', $low);

        return match (true) {
            mb_strlen($password) < self::LEAST => 'Use at least '.self::LEAST.' characters: '
                .'a few words in a row are easy to remember.',
            strlen($password) > self::MOST => 'Use '.self::MOST.' characters at most.',
            preg_match('/^\d{1,13}$/D', $low) === 1 => 'Digits alone are quickly guessed; add words.',
            count(array_unique(mb_str_split($low))) < 4 => 'It repeats the same few characters; use more different ones.',
            $low === mb_strtolower($this->email),
            $bare === mb_strtolower((string) strstr($this->email, '@', true)) => 'It is your e-mail address; choose something else.',
            self::isKnown($low), strlen($bare) >= 6 && self::isKnown($bare)
                && strlen($low) - strlen($bare) <= 6 => 'This is one of the passwords that are tried first. Choose another.',
            default => null,
        };
    }

    private static function isKnown(string $password): bool
    {
        $list = "\n".file_get_contents(resource_path('passwords/common.txt'))."\n";

        return $password !== '' && str_contains($list, "\n$password\n");
    }
}
