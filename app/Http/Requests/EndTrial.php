<?php

declare(strict_types=1);

namespace App\Http\Requests;

/** Which of two versions is kept. */
final class EndTrial extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['kept' => ['required', 'in:this,other']];
    }
}
