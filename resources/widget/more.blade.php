{{-- Without a script, a link to everything; with it, the pages that were made ahead. --}}
<div class="further" data-pages="{{ $more['pages'] }}" data-from="{{ $more['from'] }}" data-how="{{ $plan->shape->more }}" data-page="{{ $words->say('more.pageOf', ['page' => '{page}', 'count' => $words->number($more['pages'] + 1)]) }}">
<a class="act" part="button" href="{{ $plan->all }}" target="_blank" rel="noopener">{{ $words->say('more.all') }}</a>
<button type="button" class="act" part="button" hidden>{{ $words->say('more.button') }}</button>
<nav hidden aria-label="{{ $words->say('everything.pages') }}"></nav>
<span class="unseen" role="status"></span>
</div>
