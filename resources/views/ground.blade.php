{{-- A page of nobody's, in plain words: where no page of the owner's is given. --}}
<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width">
<title>Proof</title>
<script type="module" src="{{ $script }}"></script>
<script async src="{{ $host }}/gnomic.js"></script>
<style>
body{margin:0;font:16px/1.5 system-ui,sans-serif;background:#fff;color:#1d2333;overflow:hidden}
header{height:34px;background:#e3e6ec}main{padding:28px 20px 30px}b{display:block;height:20px;width:38%;border-radius:3px;background:#d5d7e0;margin:0 0 20px}
i{display:block;height:9px;border-radius:3px;background:#e9eaf0;margin:0 0 13px}[data-gnomic-here]{margin:18px 0}
</style>
</head>
<body>
<header></header>
<main><b></b><i style="width:82%"></i><i style="width:52%"></i><div data-gnomic-here=""></div><i></i><i style="width:90%"></i><i style="width:64%"></i></main>
</body>
</html>
