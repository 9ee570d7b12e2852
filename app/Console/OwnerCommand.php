<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Site;
use App\Models\User;
use Gnomic\Text\Echoed;
use Gnomic\Text\Words;
use Illuminate\Console\Command;
use Illuminate\Support\Str;
use InvalidArgumentException;

final class OwnerCommand extends Command
{
    use TellsProblems;

    protected $signature = 'gnomic:owner
        {email : What the owner signs in with}
        {--name= : The owner\'s name}
        {--site= : Name of the site; a new one is made where there is none of that name}
        {--address= : The site\'s address, such as example.org}
        {--timezone=UTC : The site\'s time zone}';

    protected $description = 'Make an owner and the site to look after; prints the password';

    public function handle(): int
    {
        return $this->tell(function (): void {
            $email = $this->given('email');
            $zone = $this->chosen('timezone');
            if (filter_var($email, FILTER_VALIDATE_EMAIL) === false) {
                throw new InvalidArgumentException(Echoed::quoted($email).' is no e-mail address.');
            }
            if (User::query()->where('email', $email)->exists()) {
                throw new InvalidArgumentException("$email signs in already.");
            }
            if (! in_array($zone, timezone_identifiers_list(), true)) {
                throw new InvalidArgumentException(Echoed::quoted($zone).' is no time zone; write one such as Europe/London.');
            }
            $password = Str::password(16, symbols: false);
            $user = User::query()->create([
                'email' => $email,
                'name' => Words::filled($this->chosen('name')) ?? Str::before($email, '@'),
                'password' => $password,
            ]);
            $site = Site::query()->firstOrCreate(
                ['name' => Words::filled($this->chosen('site')) ?? 'My site'],
                ['address' => Words::filled($this->chosen('address')) ?? 'example.org', 'timezone' => $zone],
            );
            $site->members()->attach($user->id);
            $this->put("$email signs in with $password and looks after $site->name\n");
        });
    }
}
