<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;

/** Signing in and out. */
final class SessionController
{
    public function show(Request $request): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();
        $site = $user->sites()->orderBy('sites.id')->first();

        return new JsonResponse([
            'name' => $user->name,
            'email' => $user->email,
            'site' => $site === null ? null : ['name' => $site->name, 'address' => $site->address, 'timezone' => $site->timezone],
        ]);
    }

    /** @throws ValidationException */
    public function store(Request $request): JsonResponse
    {
        $given = $request->validate(['email' => ['required', 'string', 'max:200'], 'password' => ['required', 'string', 'max:200']]);
        if (! Auth::attempt($given)) {
            throw ValidationException::withMessages(['email' => 'This address and password do not belong together. Check both.']);
        }
        $request->session()->regenerate();

        return $this->show($request);
    }

    public function destroy(Request $request): JsonResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return new JsonResponse(null, JsonResponse::HTTP_NO_CONTENT);
    }
}
